import type { Practice } from '#core/book/practice.ts';
import type { Repeats } from '#core/book/step.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { passesFor, type PassReason } from '#core/water/passes.ts';
import type { Wetness } from '#core/water/wetness.ts';

/** How often a step is repeated in this run. */
export type Count = { readonly count: number; readonly noun: string; readonly because: readonly PassReason[] };

type CountSetting = {
  readonly kind: InstrumentKind;
  readonly playedMinutes: number;
  readonly roomCelsius: number;
  readonly wetness: Wetness;
  readonly practice: Pick<Practice, 'thirst'>;
};

/** How many times: the water model within the book's floor and ceiling, or the book's own count. */
export function countFor(
  repeats: Repeats | undefined,
  { kind, playedMinutes, roomCelsius, wetness, practice }: CountSetting,
): Count | null {
  if (repeats === undefined) return null;
  if (repeats.kind === 'fixed') return { count: repeats.count.value, noun: repeats.noun, because: [] };
  const { least, most, mostBeyond } = repeats;
  const isOwn = mostBeyond?.orOwn === true && wetness.taps > 0;
  const isBeyond = mostBeyond !== undefined && (playedMinutes > mostBeyond.minutes || isOwn);
  const { value, because } = passesFor({
    water: kind.water,
    minutes: playedMinutes,
    roomCelsius,
    least,
    most: isBeyond ? mostBeyond.most : most,
    wetness,
    thirst: practice.thirst,
  });
  return { count: value, noun: 'pass', because };
}
