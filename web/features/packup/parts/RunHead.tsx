import { Box, Typography } from '@mui/material';
import { aboutDuration, duration } from '#core/explain/format.ts';
import { progressOf } from '#core/packup/run-progress.ts';
import type { RunWay } from '#core/players/run-way.ts';
import type { ReedsOfRunView } from '#contract/reed-views.ts';
import type { ShownRun } from '#contract/shown-run.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

const TITLES = { before: 'Make ready', after: 'Pack up', care: 'Care' } as const;
const WAYS = [
  { value: 'guided', words: 'Step by step' },
  { value: 'stretches', words: 'By stretches' },
  { value: 'as-listed', words: 'As listed' },
] as const satisfies readonly { readonly value: RunWay; readonly words: string }[];

function titleOf({ kind, parts }: ShownRun): string {
  const [first, ...others] = parts.map(({ name }) => name);
  const names = others.length === 0 ? first : `${first} and ${others.length} more`;
  return `${TITLES[kind]}: ${names}`;
}

function subtitleOf({ parts, finishedAt, ...run }: ShownRun, nowMs: number): string {
  const played = parts.length === 1 ? (parts[0]?.playedMinutes ?? 0) : 0;
  const { closed, total, minutesLeft } = progressOf(run, nowMs);
  const left = finishedAt !== null || closed === total ? '' : `${aboutDuration(minutesLeft)} left`;
  const after = played > 0 ? `after ${duration(played)} of playing` : '';
  return [`${closed} of ${total} steps`, left, after].filter((words) => words !== '').join(' · ');
}

export type RunHeadProps = {
  readonly run: ShownRun;
  readonly nowMs: number;
  readonly way: RunWay;
  /** Which reed is taken out, goes back, or is cleaned. */
  readonly reeds: ReedsOfRunView;
  readonly onWay: (way: RunWay) => void;
};

/** What the run is, how far it has come, and the three ways to go through it. */
export function RunHead({ run, nowMs, way, reeds, onWay }: RunHeadProps) {
  const time = run.because.find(({ rule }) => rule === 'time-at-hand' || rule === 'must-exceeds');
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
      <Box sx={{ flex: '1 1 320px', minWidth: 0 }}>
        <Typography variant="h1">{titleOf(run)}</Typography>
        <WhyFold lines={run.because} about="the order and the minutes">
          <Typography component="span" color="text.secondary" role="status">
            {subtitleOf(run, nowMs)}
          </Typography>
        </WhyFold>
        {reeds.map(({ instrumentId, name, words }) => (
          <Typography key={instrumentId} sx={{ overflowWrap: 'anywhere' }}>
            {reeds.length > 1 && <strong>{name}: </strong>}
            {words}
          </Typography>
        ))}
        {time && <Typography variant="body2">{time.text}</Typography>}
      </Box>
      {run.finishedAt === null && (
        <Box sx={{ flex: { xs: '1 1 100%', sm: '0 1 400px' } }}>
          <ChooseOne label="How to go through it" labelHidden options={WAYS} value={way} onChange={onWay} />
        </Box>
      )}
    </Box>
  );
}
