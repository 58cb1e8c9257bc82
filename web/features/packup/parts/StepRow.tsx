import { mdiCheck, mdiDebugStepOver, mdiChevronDown } from '@mdi/js';
import { Box, Button, ButtonBase, Collapse, Typography } from '@mui/material';
import { useId, useState } from 'react';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { isWaiting } from '#core/packup/run-progress.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { LookAnswers } from '#web/features/packup/parts/LookAnswers.tsx';
import { StepHow, StepReasons } from '#web/features/packup/parts/StepDetails.tsx';
import { stateWords } from '#web/features/packup/step-state-words.ts';
import { Icon } from '#web/ui/Icon.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

/** What can be said of a step in its row. */
export type RowLog = {
  readonly onTick: (key: RunStepKey) => void;
  readonly onUndo: (key: RunStepKey) => void;
  readonly onSkip: (key: RunStepKey) => void;
  readonly onAnswer: (key: RunStepKey, answer: string) => void;
};

type StepRowProps = RowLog & {
  readonly step: ShownStep;
  /** The step at hand of a guided run, which has a card of its own. */
  readonly here: boolean;
  readonly several: boolean;
  readonly nowMs: number;
  readonly readOnly: boolean;
};

const glyphOf = ({ state }: ShownStep) => (state === 'open' ? null : state === 'ticked' ? mdiCheck : mdiDebugStepOver);

/** The one thing to be said of the step here: done, or after all not. */
function RowButton({ step, nowMs, onTick, onUndo }: StepRowProps) {
  const { key, state, heading, called, look } = step;
  if (called !== 'yes' || (state === 'open' && look)) return null;
  const open = state === 'open';
  return (
    <Button
      size="small"
      color="inherit"
      variant={open ? 'outlined' : 'text'}
      disabled={open && isWaiting(step, nowMs)}
      onClick={() => (open ? onTick(key) : onUndo(key))}
      aria-label={`${open ? 'Tick' : 'Undo'}: ${heading}`}
      sx={{ fontSize: '0.875rem', minWidth: 60, minHeight: 44, px: 1 }}
    >
      {open ? 'Tick' : 'Undo'}
    </Button>
  );
}

/** What the step is, how often, and why it is as it is. */
function RowWords({ step, here, several, nowMs, alive }: StepRowProps & { readonly alive: boolean }) {
  const { heading, count, instrumentName, onlyIf } = step;
  const words = stateWords(step, nowMs);
  return (
    <Typography
      component="span"
      sx={{ lineHeight: 1.3, color: alive ? 'text.primary' : 'text.secondary', fontWeight: here ? 650 : 500 }}
    >
      {several && `${instrumentName}: `}
      {heading}
      {count !== null && count > 1 && ` × ${count}`}
      {words && <Quiet> — {words}</Quiet>}
      {alive && onlyIf && (
        <Box
          component="span"
          sx={{ display: 'block', color: 'text.secondary', fontWeight: 400, fontSize: '0.9375rem' }}
        >
          {onlyIf} Tick it only if you did it.
        </Box>
      )}
    </Typography>
  );
}

/** One step of the open stretch: its heading opens into how it is done, below it and over the full width. */
export function StepRow(props: StepRowProps) {
  const { step, here, readOnly, onSkip, onAnswer } = props;
  const [open, setOpen] = useState(false);
  const id = useId();
  const { key, state, heading, called, look } = step;
  const glyph = glyphOf(step);
  const alive = state === 'open' && called === 'yes';
  const asks = alive && !readOnly && !here;
  return (
    <Box
      component="li"
      aria-current={here ? 'step' : undefined}
      sx={{
        borderRadius: 2,
        bgcolor: here ? 'well.deep' : 'transparent',
        outline: here ? '2px solid' : 'none',
        outlineColor: 'text.primary',
      }}
    >
      <Box
        sx={{ display: 'grid', gridTemplateColumns: '24px minmax(0, 1fr) auto', columnGap: 1, alignItems: 'center' }}
      >
        <Box aria-hidden sx={{ color: 'text.secondary', display: 'grid', placeItems: 'center' }}>
          {glyph && <Icon path={glyph} fontSize="small" />}
        </Box>
        <ButtonBase
          onClick={() => setOpen(!open)}
          aria-expanded={open}
          aria-controls={id}
          sx={{ minHeight: 44, justifyContent: 'flex-start', textAlign: 'left', gap: 0.5, borderRadius: 2 }}
        >
          <RowWords {...props} alive={alive} />
          <Icon path={mdiChevronDown} fontSize="small" turned={open} />
        </ButtonBase>
        {!readOnly && !here && <RowButton {...props} />}
      </Box>
      {asks && look && (
        <Box sx={{ pl: 4, pb: 1 }}>
          <Text variant="body2" below={0.5}>
            {look.question}
          </Text>
          <LookAnswers look={look} onAnswer={(answer) => onAnswer(key, answer)} />
        </Box>
      )}
      <Collapse in={open} id={id} unmountOnExit>
        <Box sx={{ pl: 4, pr: 1, pb: 1.5, display: 'grid', gap: 1, justifyItems: 'start' }}>
          <StepHow step={step} />
          <StepReasons step={step} />
          {asks && (
            <Button color="inherit" onClick={() => onSkip(key)} aria-label={`Skip: ${heading}`}>
              Skip…
            </Button>
          )}
        </Box>
      </Collapse>
    </Box>
  );
}
