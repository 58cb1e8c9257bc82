import { Box, Button, Typography } from '@mui/material';
import { aboutDuration, duration, listed } from '#core/explain/format.ts';
import { mayBeAway } from '#core/packup/check-run-event.ts';
import { progressOf } from '#core/packup/run-progress.ts';
import type { RunWay } from '#core/players/run-way.ts';
import type { ReedsOfRunView } from '#contract/reed-views.ts';
import type { ShownRun } from '#contract/shown-run.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Grow, Space } from '#web/ui/layout.tsx';

const TITLES = { before: 'Make ready', after: 'Pack up', care: 'Care' } as const;
const WAYS = [
  { value: 'guided', words: 'Step by step' },
  { value: 'stretches', words: 'Part by part' },
  { value: 'as-listed', words: 'As listed' },
] as const satisfies readonly { readonly value: RunWay; readonly words: string }[];

function titleOf({ kind, parts }: ShownRun): string {
  const [first, ...others] = parts.map(({ name }) => name);
  const names = others.length === 0 ? first : `${first} and ${others.length} more`;
  return `${TITLES[kind]}: ${names}`;
}

function subtitleOf({ parts, finishedAt, ...run }: ShownRun, nowMs: number): string {
  const alone = parts.length === 1 ? (parts[0]?.aloneName ?? null) : null;
  const only = alone === null ? '' : `only the ${alone.toLowerCase()}`;
  const played = parts.length === 1 ? (parts[0]?.playedMinutes ?? 0) : 0;
  const { closed, total, minutesLeft } = progressOf(run, nowMs);
  const left = finishedAt !== null || closed === total ? '' : `${aboutDuration(minutesLeft)} left`;
  const after = played > 0 ? `after ${duration(played)} of playing` : '';
  return [only, `${closed} of ${total} steps`, left, after].filter((words) => words !== '').join(' · ');
}

export type RunHeadProps = {
  readonly run: ShownRun;
  readonly nowMs: number;
  readonly way: RunWay;
  /** Which reed is taken out, goes back, or is cleaned. */
  readonly reeds: ReedsOfRunView;
  readonly onWay: (way: RunWay) => void;
  /** It is packed up on the way, or at home after all. */
  readonly onPlace: (isAway: boolean) => void;
};

/** Everything the steps need that are to be done, once, in the order it is taken up. */
const suppliesOf = ({ steps }: ShownRun): string[] => [
  ...new Set(
    steps.filter(({ called }) => called === 'yes' || called === 'undecided').flatMap(({ supplies }) => supplies),
  ),
];

/** On the way what can wait does: one tap says so, and one takes it back. */
function WhereAmI({ run, onPlace }: Pick<RunHeadProps, 'run' | 'onPlace'>) {
  if (run.finishedAt !== null || !mayBeAway(run)) return null;
  return run.isAway ? (
    <Typography>
      On the way: the rest waits until you are at home.{' '}
      <Button color="inherit" onClick={() => onPlace(false)}>
        I am at home
      </Button>
    </Typography>
  ) : (
    <Space above={0.5}>
      <Button color="inherit" onClick={() => onPlace(true)}>
        I am not at home
      </Button>
    </Space>
  );
}

/** What the run is, how far it has come, and the three ways to go through it. */
export function RunHead({ run, nowMs, way, reeds, onWay, onPlace }: RunHeadProps) {
  const ready = suppliesOf(run);
  const time = run.because.find(({ rule }) => rule === 'time-at-hand' || rule === 'must-exceeds');
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
      <Grow basis="1 1 320px">
        <Typography variant="h1">{titleOf(run)}</Typography>
        <WhyFold lines={run.because} about="the order and the minutes">
          <Typography component="span" color="text.secondary" role="status">
            {subtitleOf(run, nowMs)}
          </Typography>
        </WhyFold>
        {reeds.map(({ instrumentId, name, words }) => (
          <Typography key={instrumentId}>
            {reeds.length > 1 && <strong>{name}: </strong>}
            {words}
          </Typography>
        ))}
        {time && <Typography variant="body2">{time.text}</Typography>}
        {ready.length > 0 && <Typography>Get ready: {listed(ready)}.</Typography>}
        <WhereAmI run={run} onPlace={onPlace} />
      </Grow>
      {run.finishedAt === null && (
        <Grow basis={{ xs: '1 1 100%', sm: '0 1 400px' }}>
          <ChooseOne label="How to go through it" labelHidden options={WAYS} value={way} onChange={onWay} />
        </Grow>
      )}
    </Box>
  );
}
