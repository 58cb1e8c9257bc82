import { Button } from '@mui/material';
import { Link } from 'react-router';
import { counted } from '#core/explain/format.ts';
import type { TodayLineView } from '#contract/today.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';

/** The one yellow button: the run under way, what stands wet, what lies cased damp, or what was just played. */
export function NextStep({
  lines,
  busy,
  onPlayed,
  onPackUp,
  onLayOut,
}: {
  readonly lines: readonly TodayLineView[];
  readonly busy: boolean;
  readonly onPlayed: () => void;
  readonly onPackUp: (wet: readonly TodayLineView[]) => void;
  readonly onLayOut: (damp: TodayLineView) => void;
}) {
  const own = lines.filter(({ ownerName }) => ownerName === null);
  const run = own.find(({ what }) => what === 'run');
  const wet = own.filter(({ what }) => what === 'wet');
  const damp = own.find(({ what }) => what === 'damp');
  const played = (
    <Button variant="outlined" color="inherit" onClick={onPlayed} size="large">
      I have played
    </Button>
  );
  if (run)
    return (
      <>
        <BrassButton {...{ component: Link, to: `/pack-up/${run.instrumentId}/${run.runKey ?? ''}` }}>
          Go on: {run.name}
        </BrassButton>
        {played}
      </>
    );
  if (wet.length > 0)
    return (
      <>
        <BrassButton disabled={busy} onClick={() => onPackUp(wet)}>
          {wet.length === 1 ? `Pack up: ${wet[0]?.name ?? ''}` : `Pack up ${counted(wet.length, 'instrument')}`}
        </BrassButton>
        {played}
      </>
    );
  if (damp)
    return (
      <>
        <BrassButton disabled={busy} onClick={() => onLayOut(damp)}>
          Lay out: {damp.name}
        </BrassButton>
        {played}
      </>
    );
  return <BrassButton onClick={onPlayed}>I have played</BrassButton>;
}
