import { mdiCheck, mdiDebugStepOver } from '@mdi/js';
import { Box, Button, SvgIcon, Typography } from '@mui/material';
import type { RunStepView } from '#contract/packup.ts';
import { countdown, isWaiting } from '#web/features/packup/run-progress.ts';
import { SKIP_WORDS } from '#web/features/packup/skip-words.ts';

type StepListProps = {
  readonly steps: readonly RunStepView[];
  readonly atHandId: string | null;
  readonly nowMs: number;
  readonly readOnly: boolean;
  readonly onTick: (id: string) => void;
  readonly onTakeBack: (id: string) => void;
};

const stateWords = (step: RunStepView, nowMs: number): string | null => {
  if (step.state === 'skipped')
    return step.skipReason ? `left out: ${SKIP_WORDS[step.skipReason].toLowerCase()}` : 'left out';
  if (isWaiting(step, nowMs) && step.waitsUntil) return `waits ${countdown(step.waitsUntil, nowMs)}`;
  return null;
};

function Row({
  step,
  here,
  number,
  ...list
}: Omit<StepListProps, 'steps' | 'atHandId'> & {
  readonly step: RunStepView;
  readonly here: boolean;
  readonly number: number;
}) {
  const { id, state, action, must } = step;
  const words = stateWords(step, list.nowMs);
  const open = state === 'open';
  const button = open
    ? { text: 'Tick', name: `Tick: ${action}`, act: () => list.onTick(id) }
    : { text: 'Take back', name: `Take back: ${action}`, act: () => list.onTakeBack(id) };
  return (
    <Box
      component="li"
      aria-current={here ? 'step' : undefined}
      sx={{
        display: 'grid',
        gridTemplateColumns: '28px 1fr auto',
        gap: 1,
        alignItems: 'center',
        minHeight: 44,
        px: 1,
        borderRadius: 2,
        bgcolor: here ? 'well.deep' : 'transparent',
        outline: here ? '2px solid' : 'none',
        outlineColor: 'text.primary',
      }}
    >
      <Box aria-hidden sx={{ color: 'text.secondary', display: 'grid', placeItems: 'center' }}>
        {open ? (
          number
        ) : (
          <SvgIcon fontSize="small">
            <path d={state === 'ticked' ? mdiCheck : mdiDebugStepOver} />
          </SvgIcon>
        )}
      </Box>
      <Typography
        variant="body2"
        sx={{
          color: open ? 'text.primary' : 'text.secondary',
          fontWeight: here || must ? 600 : 400,
          lineHeight: 1.3,
          py: 0.5,
        }}
      >
        {action}
        {words && (
          <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
            {' '}
            — {words}
          </Box>
        )}
      </Typography>
      {!list.readOnly && !here && (
        <Button
          size="small"
          color="inherit"
          onClick={button.act}
          aria-label={button.name}
          sx={{ fontSize: '0.875rem', minWidth: 0 }}
        >
          {button.text}
        </Button>
      )}
    </Box>
  );
}

/** The whole run in its order; any step can be ticked or taken back. */
export function StepList({ steps, atHandId, ...list }: StepListProps) {
  return (
    <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 0.25 }}>
      {steps.map((step, index) => (
        <Row key={step.id} step={step} number={index + 1} here={step.id === atHandId} {...list} />
      ))}
    </Box>
  );
}
