import { Button } from '@mui/material';
import { Link } from 'react-router';
import { listed } from '#core/explain/format.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import type { LastPass as Found } from '#core/water/wetness.ts';
import type { ShownRun } from '#contract/shown-run.ts';
import { LastPass } from '#web/features/packup/parts/LastPass.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type RunEndProps = {
  readonly run: ShownRun;
  readonly onUndo: () => void;
  readonly onLastPass: (stepKey: RunStepKey, found: Found, count: number) => void;
  readonly busy: boolean;
};

/** The wettest swabbed part of each instrument: the first one that was swabbed. */
const swabbed = ({ parts, steps }: ShownRun) =>
  parts.flatMap(
    ({ instrumentId, playedMinutes }) =>
      steps.find(
        (step) => step.instrumentId === instrumentId && step.passes && step.state === 'ticked' && playedMinutes > 0,
      ) ?? [],
  );

/** What the run left in the record: exactly what was done, and what still waits. */
export function RunEnd({ run, onUndo, onLastPass, busy }: RunEndProps) {
  const { doneNames: done, waitingNames: left } = run;
  const wrong = run.parts.length === 1 ? `/faults/${run.parts[0]?.instrumentId}` : '/faults';
  return (
    <Compartment>
      <Text variant="h1" below={1}>
        {run.isAway ? 'Cased for the way.' : run.kind === 'after' ? 'Packed up.' : 'Done.'}
      </Text>
      {done.length > 0 && <Text below={1}>In the record: {listed(done)}.</Text>}
      {left.length > 0 && <Text below={1}>Still waits: {listed(left)}.</Text>}
      {run.isAway && (
        <Text strong below={1}>
          At home lay it out, open its case and dry it. Today holds on to it until then.
        </Text>
      )}
      {swabbed(run).map((step) => (
        <LastPass
          key={step.key}
          step={step}
          several={run.parts.length > 1}
          busy={busy}
          onFound={(found, count) => onLastPass(step.key, found, count)}
        />
      ))}
      <Row gap={1.5} wrap above={3}>
        {run.isRemedy ? (
          <BrassButton {...{ component: Link, to: wrong }}>Say whether it helped</BrassButton>
        ) : (
          <BrassButton {...{ component: Link, to: `/now/${run.parts[0]?.instrumentId}` }}>Back to Now</BrassButton>
        )}
        <Button color="inherit" variant="outlined" disabled={busy} onClick={onUndo} size="large">
          Undo: go on with this run
        </Button>
        {!run.isRemedy && (
          <Button color="inherit" {...{ component: Link, to: wrong }} size="large">
            Something is wrong
          </Button>
        )}
      </Row>
    </Compartment>
  );
}
