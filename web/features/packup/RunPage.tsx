import { Box, Button, Typography, useMediaQuery, useTheme } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { doneInOneGo, isWaiting, stepAtHand, standingOn } from '#core/packup/run-progress.ts';
import type { RunView } from '#contract/packup.ts';
import type { ShownRun, ShownStep } from '#contract/shown-run.ts';
import { useNowMs, wallNow } from '#web/clock/today.ts';
import { packupQueries } from '#web/features/packup/packup.queries.ts';
import { FinishSheet } from '#web/features/packup/parts/FinishSheet.tsx';
import { LeftOut } from '#web/features/packup/parts/LeftOut.tsx';
import { PhoneStrip } from '#web/features/packup/parts/PhoneStrip.tsx';
import { RunEnd } from '#web/features/packup/parts/RunEnd.tsx';
import { RunHead, type RunHeadProps } from '#web/features/packup/parts/RunHead.tsx';
import { SkipDialog } from '#web/features/packup/parts/SkipDialog.tsx';
import { StepAtHand } from '#web/features/packup/parts/StepAtHand.tsx';
import { HowOf, StepDrawing } from '#web/features/packup/parts/StepDrawing.tsx';
import { StretchList } from '#web/features/packup/parts/StretchList.tsx';
import { shownStretches, stretchAtHand, type ShownStretch } from '#web/features/packup/run-stretches.ts';
import { useRunWay } from '#web/features/packup/run-way.actions.ts';
import { useRunLog, useShownRun, type RunLog } from '#web/features/packup/run.actions.ts';
import { useRunKeys } from '#web/features/packup/use-run-keys.ts';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { Loading, QueryView } from '#web/ui/QueryView.tsx';

type Shown = {
  readonly run: ShownRun;
  readonly stretches: readonly ShownStretch[];
  readonly nowMs: number;
  readonly log: RunLog;
  readonly onSkip: (key: RunStepKey) => void;
};

const keysOf = (steps: readonly ShownStep[]): RunStepKey[] => steps.map(({ key }) => key);

type EndsProps = {
  /** The whole list in one tap is the next action, and stands elsewhere as such. */
  readonly listed: boolean;
  readonly onListed: () => void;
  readonly onFinish: () => void;
};

/** The two ways to end early: never a dead button, for what is open is asked in a sheet. */
const Ends = ({ listed, onListed, onFinish }: EndsProps) => (
  <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.5 }}>
    {!listed && (
      <Button variant="outlined" color="inherit" onClick={onListed} sx={{ minHeight: 48 }}>
        All done as listed
      </Button>
    )}
    <Button color="inherit" onClick={onFinish} sx={{ minHeight: 48 }}>
      Finish here…
    </Button>
  </Box>
);

/** All stretches, and under them how to end where that has no other place. */
function AllStretches({
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
      <Box sx={{ flexGrow: 1, minWidth: 0 }}>
        {listed && !allClosed && !finished && (
          <BrassButton onClick={onListed} sx={{ mb: 1.5, width: '100%' }}>
            All done as listed
          </BrassButton>
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
      </Box>
    </Compartment>
  );
}

/** Everything is closed: one tap ends the run. */
const AllSettled = ({ log, onFinish }: { readonly log: RunLog; readonly onFinish: () => void }) => (
  <Compartment>
    <Typography variant="h1" sx={{ mb: 2 }}>
      Every step is settled.
    </Typography>
    <BrassButton disabled={log.busy} onClick={onFinish}>
      Finish and record it
    </BrassButton>
  </Compartment>
);

/** Asks why a step is skipped, once somebody wants to. */
function Skipping({
  run,
  stepKey,
  log,
  onClose,
}: Pick<Shown, 'run' | 'log'> & { readonly stepKey: RunStepKey | null; readonly onClose: () => void }) {
  const step = run.steps.find(({ key }) => key === stepKey);
  if (step === undefined) return null;
  return (
    <SkipDialog
      barred={standingOn(run.steps, step).map(({ heading }) => heading)}
      step={step}
      onClose={onClose}
      onSkip={(reason) => {
        log.skip(step.key, reason);
        onClose();
      }}
    />
  );
}

/** Beside the stretches: the one at hand drawn, how its steps are done, and on a wide screen the ways to end. */
const Beside = ({
  run,
  stretch,
  several,
  end,
}: Pick<Shown, 'run'> & {
  readonly stretch: ShownStretch | null;
  readonly several: boolean;
  readonly end?: EndsProps;
}) =>
  stretch && (
    <Column last>
      <Compartment title={stretch.title}>
        <StepDrawing run={run} steps={stretch.steps} />
        <HowOf steps={stretch.steps} several={several} />
        {end && <Ends {...end} />}
      </Compartment>
    </Column>
  );

/** What the run is, with the reeds it is about. */
function Head(head: Omit<RunHeadProps, 'reeds'>) {
  const { key, finishedAt } = head.run;
  const { data = [] } = useQuery(reedQueries.ofRun(key, wallNow()));
  return <RunHead {...head} reeds={finishedAt === null ? data : []} />;
}

function Loaded({ view }: { readonly view: RunView }) {
  const run = useShownRun(view);
  const [skipping, setSkipping] = useState<RunStepKey | null>(null);
  const [ending, setEnding] = useState(false);
  const { way, choose } = useRunWay(view);
  const wide = useMediaQuery(useTheme().breakpoints.up('md'));
  const finished = run.finishedAt !== null;
  const nowMs = useNowMs(!finished && run.steps.some(({ waitsUntilMs }) => waitsUntilMs !== null));
  const log = useRunLog(view, run);
  const several = run.parts.length > 1;
  const stretches = shownStretches(run.steps, several, nowMs);
  const step = finished ? null : stepAtHand(run.steps, nowMs);
  const stretch = stretchAtHand(stretches);
  const guided = way === 'guided';
  /** The step that has a card of its own. */
  const carded = guided ? step : null;
  const sayListed = () => {
    log.tickAlong(keysOf(doneInOneGo(run.steps, nowMs).filter(({ onlyIf }) => onlyIf === null)), 'list');
    setEnding(true);
  };
  const sayStretch = () => stretch && log.tickAlong(keysOf(stretch.toTick), 'stretch', keysOf(stretch.notNeeded));
  const tickOne = () => step && !step.look && !isWaiting(step, nowMs) && log.tick(step.key);
  useRunKeys(!finished && skipping === null && !ending, {
    tick: step === null ? log.finish : { guided: tickOne, stretches: sayStretch, 'as-listed': sayListed }[way],
    onePass: () => carded?.count != null && log.count(carded.key, carded.counted + 1),
    skip: () => carded && setSkipping(carded.key),
  });
  const end: EndsProps = { listed: way === 'as-listed', onListed: sayListed, onFinish: () => setEnding(true) };
  const shown = { run, stretches, nowMs, log, onSkip: setSkipping };
  const all = (
    <AllStretches
      {...shown}
      step={carded}
      byStretch={way === 'stretches'}
      ends={step !== null && (guided || !wide)}
      {...end}
    />
  );
  return (
    <TwoColumns wide="left">
      <Head run={run} nowMs={nowMs} way={way} onWay={choose} />
      {finished && <RunEnd run={run} onUndo={log.undoFinish} onLastPass={log.lastPass} busy={log.busy} />}
      {!finished && step === null && <AllSettled log={log} onFinish={log.finish} />}
      {carded && (
        <StepAtHand
          key={carded.key}
          step={carded}
          several={several}
          nowMs={nowMs}
          drawing={<StepDrawing run={run} steps={[carded]} />}
          onTick={() => log.tick(carded.key)}
          onSkip={() => setSkipping(carded.key)}
          onNotNeeded={() => log.skip(carded.key, 'not-needed')}
          onAnswer={(answer) => log.answer(carded.key, answer)}
          onCount={(count) => log.count(carded.key, count)}
        />
      )}
      {all}
      {!guided && step && <Beside run={run} stretch={stretch} several={several} {...(wide ? { end } : {})} />}
      <Skipping run={run} stepKey={skipping} log={log} onClose={() => setSkipping(null)} />
      {ending && !finished && <FinishSheet run={run} nowMs={nowMs} log={log} onClose={() => setEnding(false)} />}
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

const RUN_HEIGHT = 560;

/** A run, step by step or stretch by stretch. What happens shows at once, is kept on the device and sent behind. */
export function RunPage() {
  const { runKey = '' } = useParams();
  const query = useQuery(packupQueries.run(runKey));
  // They stand above what is tapped, and would push it away by coming later. Where they cannot come, the run begins without.
  const reeds = useQuery(reedQueries.ofRun(runKey, wallNow()));
  return (
    <QueryView query={query} height={RUN_HEIGHT} missing={NO_SUCH_RUN}>
      {(view) => (reeds.isLoading ? <Loading height={RUN_HEIGHT} /> : <Loaded view={view} />)}
    </QueryView>
  );
}
