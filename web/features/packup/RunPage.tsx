import { useMediaQuery, useTheme } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { doneInOneGo, isWaiting, stepAtHand } from '#core/packup/run-progress.ts';
import type { RunView } from '#contract/packup.ts';
import { useNowMs, wallNow } from '#web/clock/today.ts';
import { runQueries } from '#web/record/run.queries.ts';
import { FinishSheet } from '#web/features/packup/parts/FinishSheet.tsx';
import { RunEnd } from '#web/features/packup/parts/RunEnd.tsx';
import { StepAtHand } from '#web/features/packup/parts/StepAtHand.tsx';
import { StepDrawing } from '#web/features/packup/parts/StepDrawing.tsx';
import { shownStretches, stretchAtHand } from '#web/features/packup/run-stretches.ts';
import { useRunWay } from '#web/features/packup/run-way.actions.ts';
import { useRunLog, useShownRun } from '#web/features/packup/run.actions.ts';
import { useRunKeys } from '#web/features/packup/use-run-keys.ts';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';
import { TwoColumns } from '#web/ui/TwoColumns.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { Loading, QueryView } from '#web/ui/QueryView.tsx';
import { AllSettled, AllStretches, type EndsProps, keysOf } from '#web/features/packup/parts/AllStretches.tsx';
import { BesideStretches } from '#web/features/packup/parts/BesideStretches.tsx';
import { RunOnPaper } from '#web/features/packup/parts/RunOnPaper.tsx';
import { Skipping } from '#web/features/packup/parts/Skipping.tsx';
import { RunHeadWithReeds } from '#web/features/packup/compartments/RunHeadWithReeds.tsx';

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
      <RunHeadWithReeds run={run} nowMs={nowMs} way={way} onWay={choose} onPlace={log.place} />
      <RunOnPaper stretches={stretches} />
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
      {!guided && step && <BesideStretches run={run} stretch={stretch} several={several} {...(wide ? { end } : {})} />}
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
  const query = useQuery(runQueries.of(runKey));
  // They stand above what is tapped, and would push it away by coming later. Where they cannot come, the run begins without.
  const reeds = useQuery(reedQueries.ofRun(runKey, wallNow()));
  return (
    <QueryView query={query} height={RUN_HEIGHT} missing={NO_SUCH_RUN}>
      {(view) => (reeds.isLoading ? <Loading height={RUN_HEIGHT} /> : <Loaded view={view} />)}
    </QueryView>
  );
}
