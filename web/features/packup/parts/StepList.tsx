import { mdiCheck, mdiDebugStepOver } from '@mdi/js';
import { Box, Button, Typography } from '@mui/material';
import { countdown, isWaiting } from '#core/packup/run-progress.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { SKIP_WORDS } from '#web/features/packup/skip-words.ts';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Icon } from '#web/ui/Icon.tsx';

type StepListProps = {
  readonly steps: readonly ShownStep[];
  readonly atHandKey: string | null;
  readonly several: boolean;
  readonly nowMs: number;
  readonly readOnly: boolean;
  readonly onTick: (key: RunStepKey) => void;
  readonly onTakeBack: (key: RunStepKey) => void;
};

const stateWords = (step: ShownStep, nowMs: number): string | null => {
  if (step.called === 'no') return 'not called for';
  if (step.called === 'cannot') return 'cannot be done: a step before it was left out';
  if (step.called === 'undecided') return step.unless.length > 0 ? 'another step does it too' : 'if the look says so';
  if (step.look && step.answer !== null) return step.look.answers.find(({ id }) => id === step.answer)?.words ?? null;
  if (step.state === 'skipped')
    return step.skipReason ? `left out: ${SKIP_WORDS[step.skipReason].toLowerCase()}` : 'left out';
  if (isWaiting(step, nowMs) && step.waitsUntilMs !== null) return `waits ${countdown(step.waitsUntilMs, nowMs)}`;
  return null;
};

type RowWordsProps = Pick<StepListProps, 'several' | 'nowMs'> & { readonly step: ShownStep; readonly here: boolean };

function RowWords({ step, here, several, nowMs }: RowWordsProps) {
  const { state, heading, must, count: planned, called, instrumentName } = step;
  const count = planned !== null && planned > 1 ? ` × ${planned}` : '';
  const words = stateWords(step, nowMs);
  return (
    <Typography
      variant="body2"
      sx={{
        color: state === 'open' && called === 'yes' ? 'text.primary' : 'text.secondary',
        fontWeight: here || must ? 600 : 400,
        lineHeight: 1.3,
        py: 0.5,
      }}
    >
      {several && (
        <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
          {instrumentName}:{' '}
        </Box>
      )}
      {heading}
      {count}
      {words && (
        <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
          {' '}
          — {words}
        </Box>
      )}
    </Typography>
  );
}

function Row({
  step,
  here,
  number,
  ...list
}: Omit<StepListProps, 'steps' | 'atHandKey'> & {
  readonly step: ShownStep;
  readonly here: boolean;
  readonly number: number;
}) {
  const { key, state, heading, called, look } = step;
  const open = state === 'open';
  const button = open
    ? { text: 'Tick', name: `Tick: ${heading}`, act: () => list.onTick(key) }
    : { text: 'Take back', name: `Take back: ${heading}`, act: () => list.onTakeBack(key) };
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
        {open ? number : <Icon path={state === 'ticked' ? mdiCheck : mdiDebugStepOver} fontSize="small" />}
      </Box>
      <RowWords step={step} here={here} several={list.several} nowMs={list.nowMs} />
      {!list.readOnly && !here && called === 'yes' && !(open && look) && (
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
export function StepList({ steps, atHandKey, ...list }: StepListProps) {
  return (
    <PlainList ordered gap={0.25}>
      {steps.map((step, index) => (
        <Row key={step.key} step={step} number={index + 1} here={step.key === atHandKey} {...list} />
      ))}
    </PlainList>
  );
}
