import { useRef } from 'react';
import { useNavigate } from 'react-router';
import type { ReedId } from '#core/reeds/reed.ts';
import type { ChooseView } from '#contract/doublereeds.ts';
import { useToday } from '#web/clock/today.ts';
import type { TableActions } from '#web/features/doublereeds/doublereeds.actions.ts';
import { tablePath } from '#web/session/reed-paths.ts';

/** Reeds looked at one beside the other lie in one cup: since when is kept as long as the program is open. */
let cupSinceMs: number | null = null;
const MS_PER_MINUTE = 60_000;
const MOST_SOAKED = 30;
/** Minutes since the first of them went in; 0 where they have been out of it for long. */
function inTheCup(nowMs: number): number {
  const minutes = cupSinceMs === null ? Infinity : Math.floor((nowMs - cupSinceMs) / MS_PER_MINUTE);
  if (minutes > MOST_SOAKED) cupSinceMs = nowMs;
  return minutes > MOST_SOAKED ? 0 : minutes;
}

/** Looks at a reed in two minutes beside others, and goes to it. */
export function useQuickLook(actions: TableActions) {
  const navigate = useNavigate();
  const today = useToday();
  const going = useRef(false);
  const look = (instrumentId: string, reed: ReedId, search: string) =>
    actions.begin(reed, { way: 'quick', noticed: [], soakedMinutes: inTheCup(Date.now()), interviewKey: null }, () => {
      going.current = false;
      void navigate(`${tablePath(instrumentId, reed)}?${search}`);
    });
  return {
    ofBox: (instrumentId: string, reed: ReedId) => look(instrumentId, reed, 'beside=box'),
    ofPupil: ({ instrumentId, playerId, kind, unboxed }: ChooseView['pupils'][number]) => {
      if (going.current) return;
      going.current = true;
      if (unboxed !== null) look(instrumentId, unboxed, 'beside=class');
      else actions.unboxed({ playerId, kind }, today, (reed) => look(instrumentId, reed, 'beside=class'));
    },
  };
}
