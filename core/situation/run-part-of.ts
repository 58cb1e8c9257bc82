import type { CareItemId } from '#core/book/care-ids.ts';
import type { RunPart } from '#core/packup/run-plan.ts';
import type { Play } from '#core/plays/play.ts';
import type { Situation } from '#core/situation/situation.ts';
import type { Wetness } from '#core/water/wetness.ts';

type Share = {
  readonly items: readonly CareItemId[];
  /** What it follows on; null where nothing was played. */
  readonly play: Pick<Play, 'minutes' | 'roomCelsius'> | null;
  readonly wetness: Wetness;
};

/** An instrument's share of a run as the planner asks for it, from how the instrument stands. */
export const runPartOf = (
  { instrument, kind, methods, conditions, care }: Situation,
  { items, play, wetness }: Share,
): RunPart => ({
  instrumentId: instrument.id,
  kind,
  practice: methods.practice,
  items,
  playedMinutes: play?.minutes ?? 0,
  roomCelsius: play?.roomCelsius ?? conditions.roomCelsius,
  wetness,
  loads: new Map(care.clocks.map(({ item, load }) => [item.id, load])),
});
