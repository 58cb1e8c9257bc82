import { Button, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { aboutDuration } from '#core/explain/format.ts';
import { countdown, isWaiting } from '#core/packup/run-progress.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { LookAnswers } from '#web/features/packup/parts/LookAnswers.tsx';
import { PassCounter } from '#web/features/packup/parts/PassCounter.tsx';
import { StepHow, StepReasons } from '#web/features/packup/parts/StepDetails.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { HANDS_WORDS } from '#web/ui/hands-words.ts';
import { Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type StepAtHandProps = {
  readonly step: ShownStep;
  /** The run holds several instruments, so the step says whose it is. */
  readonly several: boolean;
  readonly nowMs: number;
  /** The part at hand, drawn. */
  readonly drawing?: ReactNode;
  readonly onTick: () => void;
  readonly onSkip: () => void;
  readonly onNotNeeded: () => void;
  readonly onAnswer: (answer: string) => void;
  readonly onCount: (count: number) => void;
};

type ButtonsProps = Pick<StepAtHandProps, 'step' | 'nowMs' | 'onTick' | 'onSkip' | 'onNotNeeded' | 'onAnswer'>;

/** What can be said of the step, and the question it hangs on right above. */
function Buttons({ step, nowMs, onTick, onSkip, onNotNeeded, onAnswer }: ButtonsProps) {
  const { look, onlyIf, waitsUntilMs } = step;
  const waiting = isWaiting(step, nowMs);
  const question = look?.question ?? onlyIf;
  const done = onlyIf ? 'Yes, and done' : 'Done';
  return (
    <Space above={2}>
      {question && (
        <Text variant="h3" component="p" below={1}>
          {question}
        </Text>
      )}
      <Row gap={1.5} wrap align="center">
        {look ? (
          <LookAnswers look={look} onAnswer={onAnswer} />
        ) : (
          <BrassButton
            onClick={onTick}
            disabled={waiting}
            sx={{ minWidth: 180, minHeight: 64, flexGrow: { xs: 1, sm: 0 } }}
          >
            {waiting ? `Waits ${countdown(waitsUntilMs ?? nowMs, nowMs)}` : done}
          </BrassButton>
        )}
        {onlyIf && (
          <Button variant="outlined" color="inherit" onClick={onNotNeeded} sx={{ minHeight: 64, px: 3 }}>
            No, not needed
          </Button>
        )}
        <Button color="inherit" onClick={onSkip} size="large">
          Skip…
        </Button>
      </Row>
    </Space>
  );
}

/** The step to do now, large enough to read from a music stand; the drawing is the hero of the card. */
export function StepAtHand({ step, several, nowMs, drawing, onCount, ...said }: StepAtHandProps) {
  const { heading, hands, repeats, count, partName, counted, activeMinutes, instrumentName } = step;
  const who = HANDS_WORDS[hands];
  return (
    <Compartment sx={{ display: 'flex', flexDirection: 'column' }}>
      <Typography color="text.secondary">
        {several && <strong>{instrumentName} · </strong>}
        {partName} · {aboutDuration(activeMinutes)}
        {who && ` · ${who}`}
      </Typography>
      <Typography variant="h1" component="h2">
        {heading}
      </Typography>
      {drawing}
      {repeats && <PassCounter count={count ?? 1} repeats={repeats} made={counted} onCount={onCount} />}
      <Space above={1}>
        <StepHow step={step} large />
      </Space>
      <Buttons step={step} nowMs={nowMs} {...said} />
      <Space above={2}>
        <StepReasons step={step} />
      </Space>
      <Button
        color="inherit"
        {...{ component: Link, to: `/faults/${step.instrumentId}?part=${step.part}` }}
        sx={{ alignSelf: 'flex-start', mt: 1, color: 'text.secondary' }}
      >
        Something is wrong here
      </Button>
    </Compartment>
  );
}
