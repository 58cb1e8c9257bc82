import type { CareItemId } from '#core/book/care-ids.ts';
import type { Practice } from '#core/book/practice.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { RunPart } from '#core/packup/run-plan.ts';
import type { Play } from '#core/plays/play.ts';
import { practicePlayed } from '#core/situation/alone-standing.ts';
import type { Situation } from '#core/situation/situation.ts';
import type { Wetness } from '#core/water/wetness.ts';

const asPlayed = (practice: Practice) => ({ practice, kind: practice.kind });

type Share = {
  readonly items: readonly CareItemId[];
  /** What it follows on; null where nothing was played. */
  readonly play: Pick<Play, 'minutes' | 'roomCelsius'> | null;
  readonly wetness: Wetness;
  /** Only these parts are made ready or put away; without it, or null: all of it. */
  readonly alone?: AloneId | null;
};

/** An instrument's share of a run as the planner asks for it, from how the instrument stands. */
export const runPartOf = (
  { instrument, methods, conditions, care }: Situation,
  { items, play, wetness, alone = null }: Share,
): RunPart => ({
  instrumentId: instrument.id,
  ...asPlayed(practicePlayed(methods, alone)),
  items,
  playedMinutes: play?.minutes ?? 0,
  roomCelsius: play?.roomCelsius ?? conditions.roomCelsius,
  wetness,
  loads: new Map(care.clocks.map(({ item, load }) => [item.id, load])),
});
