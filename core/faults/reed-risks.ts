import type { RiskNoted } from '#core/faults/risks.ts';
import { WARP_BY } from '#core/reeds/reed-numbers.ts';
import { shareOfLife, type LivesOf } from '#core/reeds/reed-life.ts';
import { reedName } from '#core/reeds/reed-words.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** From this share of its expected life on a reed is thought of first (estimate of the practice book). */
const WORN_SHARE = 0.8;

/** The reed that was played last; undefined where none was, or it has been retired since. */
export function lastReed(reeds: readonly ReedState[]): ReedState | undefined {
  const played = reeds.filter(({ lastPlayedOn }) => lastPlayedOn !== null);
  const last = played.toSorted((a, b) => ((a.lastPlayedOn ?? '') < (b.lastPlayedOn ?? '') ? 1 : -1))[0];
  return last?.stage === 'retired' ? undefined : last;
}

/** What the reed that was played last makes likelier: it is near its end, or was played much within few days. */
export function reedRisks(reeds: readonly ReedState[], lives: LivesOf, today: LocalDate): RiskNoted[] {
  const reed = lastReed(reeds);
  if (!reed) return [];
  const { minutes, days } = WARP_BY.muchPlayed;
  const since = addDays(today, -days.value);
  const played = reed.days.reduce((sum, day) => sum + (day.on > since ? day.minutes : 0), 0);
  const name = reedName(reed);
  return [
    ...(shareOfLife(reed, lives) >= WORN_SHARE ? [{ risk: 'reed-worn', reed: name } as const] : []),
    ...(played >= minutes.value ? [{ risk: 'reed-much-played', reed: name } as const] : []),
  ];
}
