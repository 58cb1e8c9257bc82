import { playSeason, type SeasonSight, type WayOfPlaying } from '#core/reeds/play-season.ts';
import { livesOf } from '#core/reeds/reed-life.ts';
import { drawSeason, usualOn } from '#core/reeds/reed-season.ts';
import { readinessFor } from '#core/reeds/readiness.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** A concert of a season: the chance that was told so many days before, and whether enough reeds were ready in truth. */
export type ToldAndTrue = { readonly told: number; readonly isTrue: boolean };

const DAYS_A_WEEK = 7;

/** What is told on a day of a season of a concert to come, with the reeds there are then. */
function toldOf({ day, dayOfSeason, reeds }: SeasonSight, on: LocalDate, wanted: number): number {
  const days = daysBetween(day.on, on);
  const minutesUntil = Array.from({ length: days }, (_, index) => usualOn((dayOfSeason + index) % DAYS_A_WEEK)).reduce(
    (sum, one) => sum + one,
    0,
  );
  const asked = { on, wanted, today: day.on, reeds, lives: livesOf(reeds), minutesUntil };
  return readinessFor({ ...asked, breakIn: 'week' }).table[0]?.chance ?? NaN;
}

/**
 * Plays seasons one way, and holds what was told so many days before each concert against what came: a concert is ready
 * where so many reeds of concert grade were in truth good, and in the first half of the life they turn out to have.
 *
 * @param ahead days before a concert on which its chance is noted, or as soon after as somebody plays
 */
export function toldAndTrue(
  way: () => WayOfPlaying,
  seeds: readonly number[],
  { begins, ahead, wanted }: { readonly begins: LocalDate; readonly ahead: number; readonly wanted: number },
): ToldAndTrue[] {
  return seeds.flatMap((seed) => {
    const told = new Map<LocalDate, number>();
    const play = way();
    const { readyReeds } = playSeason(drawSeason(seed, begins), (sight) => {
      for (const on of sight.concerts) {
        const days = daysBetween(sight.day.on, on);
        if (days > 0 && days <= ahead && !told.has(on)) told.set(on, toldOf(sight, on, wanted));
      }
      return play(sight);
    });
    return [...told].map(([on, chance]) => ({ told: chance, isTrue: (readyReeds.get(on) ?? 0) >= wanted }));
  });
}
