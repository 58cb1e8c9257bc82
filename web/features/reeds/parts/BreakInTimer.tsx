import { Button } from '@mui/material';
import { useState } from 'react';
import type { ReedId } from '#core/reeds/reed.ts';
import { useNowMs } from '#web/clock/today.ts';
import { Text } from '#web/ui/Text.tsx';

type BreakInTimerProps = { readonly reedId: ReedId; readonly name: string; readonly minutes: number };

const storedUnder = (reedId: string): string => `ulu.break-in.${reedId}`;
/** After so long nobody is still playing these few minutes. */
const FORGOTTEN_MS = 3 * 3_600_000;
const MS_PER_MINUTE = 60_000;

function startedAt(reedId: string, nowMs: number): number | null {
  const kept = Number(localStorage.getItem(storedUnder(reedId)));
  return Number.isFinite(kept) && kept > 0 && nowMs - kept < FORGOTTEN_MS && kept <= nowMs ? kept : null;
}

const clock = (ms: number): string => {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
};

/** The few minutes of a day of breaking in, counted down; it survives a reload and says when it is enough. */
export function BreakInTimer({ reedId, name, minutes }: BreakInTimerProps) {
  const [started, setStarted] = useState(() => startedAt(reedId, Date.now()));
  const nowMs = useNowMs(started !== null);
  const left = started === null ? null : started + minutes * MS_PER_MINUTE - nowMs;
  const stop = () => {
    localStorage.removeItem(storedUnder(reedId));
    setStarted(null);
  };
  if (left === null)
    return (
      <Button
        variant="outlined"
        color="inherit"
        aria-label={`Start ${minutes} min: ${name}`}
        onClick={() => {
          const now = Date.now();
          localStorage.setItem(storedUnder(reedId), String(now));
          setStarted(now);
        }}
      >
        Start {minutes} min
      </Button>
    );
  return (
    <>
      <Text role="timer" strong>
        {left > 0 ? clock(Math.min(left, minutes * MS_PER_MINUTE)) : 'That is enough for today.'}
      </Text>
      <Button color="inherit" onClick={stop} aria-label={`Stop: ${name}`}>
        Stop
      </Button>
    </>
  );
}
