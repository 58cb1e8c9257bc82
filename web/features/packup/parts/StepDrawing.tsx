import { Box, Typography } from '@mui/material';
import { listed } from '#core/explain/format.ts';
import type { ShownRun, ShownStep } from '#contract/shown-run.ts';
import { BoreStrip } from '#web/ui/BoreStrip.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';

type StepDrawingProps = { readonly run: ShownRun; readonly steps: readonly ShownStep[] };

/** How the open steps of a stretch are done, beside their list. */
export const HowOf = ({ steps, several }: { readonly steps: readonly ShownStep[]; readonly several: boolean }) => (
  <PlainList gap={1}>
    {steps
      .filter(({ state, called }) => state === 'open' && called === 'yes')
      .map(({ key, instrumentName, heading, how }) => (
        <Typography component="li" variant="body2" key={key}>
          <strong>
            {several && `${instrumentName}: `}
            {heading}.
          </strong>{' '}
          {how}
        </Typography>
      ))}
  </PlainList>
);

/** The part at hand drawn large, with the way of the cloth where there is one; nothing for what has no place on the tube. */
export function StepDrawing({ run, steps }: StepDrawingProps) {
  const [first] = steps;
  const part = run.parts.find(({ instrumentId }) => instrumentId === first?.instrumentId);
  const thread = steps.find((step) => step.thread !== null)?.thread ?? null;
  // A key of a part this build does not have is said in the step's words only.
  const holds = part?.strip.some((segment) => segment.part === first?.holds?.part) ? (first?.holds ?? null) : null;
  const wanted = [
    ...steps.map((step) => step.part),
    ...(thread ? [thread.in, thread.out] : []),
    ...(holds ? [holds.part] : []),
  ];
  const focus = part?.strip.filter((segment) => wanted.includes(segment.part)) ?? [];
  if (part === undefined || focus.length === 0) return null;
  const names = focus.map(({ name }) => name.toLowerCase());
  const way = thread
    ? thread.in === thread.out
      ? ', the cloth in and out the same way'
      : ', the cloth’s way through it'
    : '';
  return (
    <Box sx={{ my: 1, bgcolor: 'well.deep', borderRadius: 3, px: 1, py: 0.5 }}>
      <BoreStrip
        segments={part.strip}
        activePart={first?.part ?? null}
        thread={thread}
        focus={focus.map((segment) => segment.part)}
        holds={holds}
        label={`${part.name}: ${listed(names)}${way}${holds ? `; ${holds.words}` : ''}`}
      />
    </Box>
  );
}
