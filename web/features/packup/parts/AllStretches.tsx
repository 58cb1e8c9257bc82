import { Button } from '@mui/material';
import type { RunStepKey } from '#core/packup/run-step.ts';
import type { ShownRun, ShownStep } from '#contract/shown-run.ts';
import { LeftOut } from '#web/features/packup/parts/LeftOut.tsx';
import { PhoneStrip } from '#web/features/packup/parts/PhoneStrip.tsx';
import { StretchList } from '#web/features/packup/parts/StretchList.tsx';
import { stretchAtHand, type ShownStretch } from '#web/features/packup/run-stretches.ts';
import type { RunLog } from '#web/features/packup/run.actions.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Grow, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

export type Shown = {
  readonly run: ShownRun;
  readonly stretches: readonly ShownStretch[];
  readonly nowMs: number;
  readonly log: RunLog;
  readonly onSkip: (key: RunStepKey) => void;
};

export const keysOf = (steps: readonly ShownStep[]): RunStepKey[] => steps.map(({ key }) => key);

export type EndsProps = {
  /** The whole list in one tap is the next action, and stands elsewhere as such. */
  readonly listed: boolean;
  readonly onListed: () => void;
  readonly onFinish: () => void;
};

/** The two ways to end early: never a dead button, for what is open is asked in a sheet. */
export const Ends = ({ listed, onListed, onFinish }: EndsProps) => (
  <Row wrap above={1.5}>
    {!listed && (
      <Button variant="outlined" color="inherit" onClick={onListed} size="large">
        All done as listed
      </Button>
    )}
    <Button color="inherit" onClick={onFinish} size="large">
      Finish here…
    </Button>
  </Row>
);

/** All stretches, and under them how to end where that has no other place. */
export function AllStretches({
  run,
  stretches,
  nowMs,
  log,
  onSkip,
  step,
  byStretch,
  ends,
  listed,
  onListed,
  onFinish,
}: Shown &
  EndsProps & {
    readonly step: ShownStep | null;
    readonly byStretch: boolean;
    readonly ends: boolean;
  }) {
  const finished = run.finishedAt !== null;
  const allClosed = stretches.every(({ closed, total }) => closed === total);
  const atHand = finished ? null : stretchAtHand(stretches);
  return (
    <Compartment sx={{ display: 'flex', gap: 1, py: { xs: 1.5, sm: 1.5 } }}>
      {!finished && <PhoneStrip run={run} step={step ?? atHand?.steps.find(({ state }) => state === 'open')} />}
      <Grow>
        {listed && !allClosed && !finished && (
          <Space wide below={1.5}>
            <BrassButton onClick={onListed} fullWidth>
              All done as listed
            </BrassButton>
          </Space>
        )}
        <StretchList
          stretches={stretches}
          atHandKey={atHand?.key ?? null}
          stepKey={step?.key ?? null}
          nowMs={nowMs}
          readOnly={finished}
          onTick={log.tick}
          onUndo={log.takeBack}
          onSkip={onSkip}
          onAnswer={log.answer}
          {...(byStretch
            ? { onDone: (one: ShownStretch) => log.tickAlong(keysOf(one.toTick), 'stretch', keysOf(one.notNeeded)) }
            : {})}
        />
        {!finished && run.leftOut.length > 0 && (
          <LeftOut leftOut={run.leftOut} several={run.parts.length > 1} busy={log.busy} onPullIn={log.pullIn} />
        )}
        {ends && <Ends listed={listed} onListed={onListed} onFinish={onFinish} />}
      </Grow>
    </Compartment>
  );
}

/** Everything is closed: one tap ends the run. */
export const AllSettled = ({ log, onFinish }: { readonly log: RunLog; readonly onFinish: () => void }) => (
  <Compartment>
    <Text variant="h1" below={2}>
      Every step is settled.
    </Text>
    <BrassButton disabled={log.busy} onClick={onFinish}>
      Finish and record it
    </BrassButton>
  </Compartment>
);
