import type { CareItemId } from '#core/book/care-ids.ts';
import type { Practice } from '#core/book/practice.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { stepsFor } from '#core/packup/collect-steps.ts';
import { countFor } from '#core/packup/count-for.ts';
import { paceOf, type PlayerAbilities } from '#core/players/player.ts';
import { usualWetness } from '#core/water/wetness.ts';

export type ItemMinutesOf = {
  readonly kind: InstrumentKind;
  readonly practice: Practice;
  readonly usualMinutes: number;
  readonly roomCelsius: number;
};

/** About how long the steps of one item take this player by themselves, minutes (estimate). */
export function minutesOfItem(
  { kind, practice, usualMinutes, roomCelsius }: ItemMinutesOf,
  item: CareItemId,
  player: PlayerAbilities,
): number {
  const setting = { kind, playedMinutes: usualMinutes, roomCelsius, wetness: usualWetness, practice };
  return (
    stepsFor(practice, [item])
      .map(({ minutes, repeats }) => minutes * (countFor(repeats, setting)?.count ?? 1))
      .reduce((sum, minutes) => sum + minutes, 0) * paceOf(player.standing)
  );
}
