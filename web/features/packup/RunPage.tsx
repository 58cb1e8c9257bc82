import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { duration } from '#core/explain/format.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { mustBeSettled } from '#core/packup/run-log.ts';
import { isWaiting, progressOf, stepAtHand, standingOn } from '#core/packup/run-progress.ts';
import type { RunView } from '#contract/packup.ts';
import type { ShownRun, ShownStep } from '#contract/shown-run.ts';
import { useNowMs } from '#web/clock/today.ts';
import { packupQueries } from '#web/features/packup/packup.queries.ts';
import { LeftOut } from '#web/features/packup/parts/LeftOut.tsx';
import { RunEnd } from '#web/features/packup/parts/RunEnd.tsx';
import { SkipDialog } from '#web/features/packup/parts/SkipDialog.tsx';
import { StepAtHand } from '#web/features/packup/parts/StepAtHand.tsx';
import { StepList } from '#web/features/packup/parts/StepList.tsx';
import { useRunLog, useShownRun, type RunLog } from '#web/features/packup/run.actions.ts';
import { useRunKeys } from '#web/features/packup/use-run-keys.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { StripHead } from '#web/ui/StripHead.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { TwoColumns } from '#web/ui/TwoColumns.tsx';

type Part = ShownRun['parts'][number];

function subtitleOf(run: ShownRun, part: Part | undefined): string {
  const others = run.parts.length - 1;
  const along = others > 0 ? `with ${others} more in one go` : '';
  const after = part && part.playedMinutes > 0 ? `after ${duration(part.playedMinutes)} of playing` : '';
  return [after, along].filter((words) => words !== '').join(', ');
}

const TITLES = { before: 'Make ready', after: 'Pack up', care: 'Care' } as const;

function Finish({
  run,
  onFinish,
  busy,
}: {
  readonly run: ShownRun;
  readonly onFinish: () => void;
  readonly busy: boolean;
}) {
  const { closed, total, minutesLeft } = progressOf(run);
  const mustOpen = mustBeSettled(run);
  const allClosed = closed === total;
  return (
    <Box sx={{ mt: 1.5 }}>
      <Typography variant="body2" color="text.secondary" role="status">
        {closed} of {total} steps{allClosed ? '' : `, about ${duration(Math.max(1, minutesLeft))} left`}
      </Typography>
      {allClosed ? null : (
        <Button color="inherit" disabled={busy || mustOpen.length > 0} onClick={onFinish} sx={{ mt: 0.5, px: 0 }}>
          {mustOpen.length > 0
            ? `Not before ${mustOpen.length} more that must be done or skipped with a reason`
            : 'Finish here, leave the rest'}
        </Button>
      )}
    </Box>
  );
}

/** The instrument of the step at hand; the first one before there is any and when all is done. */
function RunHead({ run, current }: { readonly run: ShownRun; readonly current: ShownStep | null }) {
  const [first] = run.parts;
  const part = run.parts.find(({ instrumentId }) => instrumentId === current?.instrumentId) ?? first;
  return (
    <Box sx={{ gridColumn: '1 / -1', display: { xs: 'none', sm: 'block' } }}>
      <StripHead
        title={`${TITLES[run.kind]}: ${part?.name ?? ''}`}
        subtitle={subtitleOf(run, part)}
        segments={part?.strip ?? []}
        activePart={current?.part ?? null}
        thread={current?.thread ?? null}
      />
    </Box>
  );
}

type AllStepsProps = {
  readonly run: ShownRun;
  readonly current: ShownStep | null;
  readonly nowMs: number;
  readonly log: RunLog;
};

/** The whole run: its time, its steps, what waits for want of time. */
function AllSteps({ run, current, nowMs, log }: AllStepsProps) {
  const finished = run.finishedAt !== null;
  const several = run.parts.length > 1;
  const time = run.because.find(({ rule }) => rule === 'time-at-hand' || rule === 'must-exceeds');
  return (
    <Compartment
      title={`About ${duration(Math.max(1, run.elapsedMinutes))} in all`}
      aside={<WhyFold lines={run.because} about="the order and the minutes" />}
    >
      {time && (
        <Typography variant="body2" sx={{ mb: 1 }}>
          {time.text}
        </Typography>
      )}
      <StepList
        steps={run.steps}
        atHandKey={current?.key ?? null}
        several={several}
        nowMs={nowMs}
        readOnly={finished}
        onTick={log.tick}
        onTakeBack={log.takeBack}
      />
      {!finished && run.leftOut.length > 0 && (
        <LeftOut leftOut={run.leftOut} several={several} busy={log.busy} onPullIn={log.pullIn} />
      )}
      {!finished && <Finish run={run} onFinish={log.finish} busy={log.busy} />}
    </Compartment>
  );
}

function Loaded({ view }: { readonly view: RunView }) {
  const run = useShownRun(view);
  const [skipping, setSkipping] = useState<RunStepKey | null>(null);
  const finished = run.finishedAt !== null;
  const nowMs = useNowMs(!finished && run.steps.some(({ waitsUntilMs }) => waitsUntilMs !== null));
  const log = useRunLog(run);
  const current = finished ? null : stepAtHand(run.steps, nowMs);
  const toSkip = run.steps.find(({ key }) => key === skipping);
  const tick = () => current && !current.look && !isWaiting(current, nowMs) && log.tick(current.key);
  useRunKeys(!finished && skipping === null, {
    tick: () => (current ? tick() : log.finish()),
    onePass: () => current?.count != null && log.count(current.key, current.counted + 1),
    skip: () => current && setSkipping(current.key),
  });
  return (
    <TwoColumns wide="left">
      <RunHead run={run} current={current} />
      {finished && <RunEnd run={run} onUndo={log.undoFinish} onLastPass={log.lastPass} busy={log.busy} />}
      {current && (
        <StepAtHand
          key={current.key}
          step={current}
          several={run.parts.length > 1}
          nowMs={nowMs}
          onTick={() => log.tick(current.key)}
          onSkip={() => setSkipping(current.key)}
          onNotNeeded={() => log.skip(current.key, 'not-needed')}
          onAnswer={(answer) => log.answer(current.key, answer)}
          onCount={(count) => log.count(current.key, count)}
        />
      )}
      {!finished && !current && (
        <Compartment>
          <Typography variant="h1" sx={{ mb: 2 }}>
            Every step is settled.
          </Typography>
          <BrassButton disabled={log.busy} onClick={log.finish}>
            Finish and record it
          </BrassButton>
        </Compartment>
      )}
      <AllSteps run={run} current={current} nowMs={nowMs} log={log} />
      {toSkip && (
        <SkipDialog
          barred={standingOn(run.steps, toSkip).map(({ heading }) => heading)}
          step={toSkip}
          onClose={() => setSkipping(null)}
          onSkip={(reason) => {
            log.skip(toSkip.key, reason);
            setSkipping(null);
          }}
        />
      )}
    </TwoColumns>
  );
}

const NO_SUCH_RUN = (
  <Problem
    title="No such run"
    text="It was taken back, or never begun. The record holds what was done."
    to="/now"
    action="Go to Now"
  />
);

/** A run, step by step. What happens shows at once, is kept on the device and sent behind: a reload loses nothing. */
export function RunPage() {
  const { runKey = '' } = useParams();
  const query = useQuery(packupQueries.run(runKey));
  return (
    <QueryView query={query} height={560} missing={NO_SUCH_RUN}>
      {(view) => <Loaded view={view} />}
    </QueryView>
  );
}
