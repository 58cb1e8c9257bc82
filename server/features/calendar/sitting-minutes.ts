import type { PlayerId } from '#core/instruments/instrument.ts';
import { planRun } from '#core/packup/plan-run.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import { runPartOf } from '#core/situation/run-part-of.ts';
import type { DueThing } from '#core/sittings/due-things.ts';
import type { MinutesOfSittings } from '#core/sittings/fit-sittings.ts';
import type { WeeksRead } from '#server/features/calendar/weeks-read.ts';
import type { Services } from '#server/services.ts';
import { inTurns } from '#server/turns.ts';

type LearnedOf = Services['packup']['learnedMinutes'];

/** The minutes learned of each instrument, read once for all the sittings it is in. */
function learnedOnce({ packup }: Services): LearnedOf {
  const known = new Map<string, ReturnType<LearnedOf>>();
  return (parts, player) =>
    new Map(
      parts.flatMap((part) => {
        const mine = known.get(part.instrumentId) ?? packup.learnedMinutes([part], player);
        known.set(part.instrumentId, mine);
        return [...mine];
      }),
    );
}

/** What a sitting takes by the planner of runs, which knows what is opened once for two things, and what waits. */
function minutesOfRun({ own, today }: WeeksRead, things: readonly DueThing[], learnedOf: LearnedOf): number {
  const parts = own.flatMap(({ instrument, situation, wetness }) => {
    const mine = things.filter(({ instrumentId }) => instrumentId === instrument.id).map(({ clock }) => clock.item.id);
    const share = { items: [...new Set(mine)], play: null, wetness: wetness() };
    return mine.length === 0 ? [] : [runPartOf(situation(today), share)];
  });
  const [first] = own;
  const player: (PlayerAbilities & { readonly id: PlayerId }) | undefined = first?.player;
  if (player === undefined || parts.length === 0) return 0;
  return planRun({ parts, player, minutesAtHand: null, learned: learnedOf(parts, player) }).elapsedMinutes;
}

/** What the sittings of a plan take, each by its day, as the planner of runs has it; what is learned is read once. */
export function minutesBy(services: Services, known: WeeksRead): MinutesOfSittings {
  const learnedOf = learnedOnce(services);
  return async (plan) => {
    const found = await inTurns([...new Set(plan.flat())], (day) => {
      const things = known.due.filter((_, at) => plan[at]?.includes(day));
      return [[day, minutesOfRun(known, things, learnedOf)] as const];
    });
    return new Map(found);
  };
}
