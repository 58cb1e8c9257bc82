import { signsOf } from '#core/book/care-item.ts';
import type { SignId } from '#core/book/fault.ts';
import { CASED_DAMP } from '#core/book/care-ids.ts';
import { SEVERITY_WEIGHT, type CareItem } from '#core/book/care-item.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import { NEARNESS_WEIGHT, type InstrumentKind, type PartId } from '#core/instruments/kind.ts';

/** However long overdue, or however wet: nothing counts for more than twice what is just due (estimate). */
const EXPOSURE_CAP = 2;

/** Weight of a part by near-mouth-first; a part the kind does not list counts as "the rest". */
function nearnessWeight(kind: InstrumentKind, part: PartId): number {
  const found = [...kind.tube, ...kind.loose].find(({ id }) => id === part);
  return NEARNESS_WEIGHT[found?.nearness ?? 'the-rest'].value;
}

/** What care of a part protects = near-mouth weight × severity × exposure, which is capped. All weights are estimates. */
export const protects = (
  kind: InstrumentKind,
  { part, severity }: Pick<CareItem, 'part' | 'severity'>,
  exposure: number,
): number => nearnessWeight(kind, part) * SEVERITY_WEIGHT[severity].value * Math.min(exposure, EXPOSURE_CAP);

/** What doing an item now protects; its clock's load is the exposure. An unknown clock asks as one that is just due. */
const valueNow = (kind: InstrumentKind, { item, load, state }: ItemClock): number =>
  protects(kind, item, load ?? (state === 'unknown' ? 1 : 0));

const isCalling = ({ state, postponedUntil }: ItemClock): boolean =>
  postponedUntil === null && ['due', 'overdue', 'soon', 'unknown', 'waiting'].includes(state);
const RANK = { overdue: 0, due: 1, waiting: 2, unknown: 3, soon: 4, fresh: 5, 'as-seen': 6, off: 7 } as const;

/** Has somebody seen or heard what this item is for? */
export const isNoticed = ({ because }: Pick<ItemClock, 'because'>): boolean =>
  because.some(({ rule }) => rule === 'noticed');

/** Which of its signs was noticed, where that was said or there is but one; null where nothing was. */
export function noticedSign({ because, item }: Pick<ItemClock, 'because' | 'item'>): SignId | null {
  const noticed = because.find((reason) => reason.rule === 'noticed');
  if (noticed?.rule !== 'noticed') return null;
  const [only, ...others] = signsOf(item);
  return noticed.which ?? (others.length === 0 ? (only?.id ?? null) : null);
}

/**
 * The periodic items that call for attention, most pressing first: what was noticed before all routine, then overdue
 * before due before unknown before soon, and within each the higher value first. What belongs to every play is the
 * pack-up's business and left out, and so is what stands cased damp, which has a line of its own.
 */
export function whatMatters(kind: InstrumentKind, clocks: readonly ItemClock[]): ItemClock[] {
  return clocks
    .filter(({ item }) => item.trigger.kind !== 'every-play' && item.id !== CASED_DAMP)
    .filter(isCalling)
    .toSorted(
      (a, b) =>
        Number(isNoticed(b)) - Number(isNoticed(a)) ||
        RANK[a.state] - RANK[b.state] ||
        valueNow(kind, b) - valueNow(kind, a),
    );
}

export type PackedUp = {
  /** Played since it was last packed up, or put away wet. */
  readonly awaitsPackUp: boolean;
  /** Packed up in a hurry: what of every play was left, though nothing of it must be done at once. */
  readonly leftForLater: readonly ItemClock[];
  /** Cased damp, packed up on the way and not dried at home, since this wall minute; null where it is not. */
  readonly dampSince: number | null;
};

/** A step that must never be left out, or that takes the water out: without it the instrument is put away wet. */
const cannotWait = ({ must, reaches = [], onlyIf }: Step): boolean =>
  must === true || (onlyIf === undefined && (reaches.includes('bore-dry') || reaches.includes('water-out')));

/** What belongs to every play and has not been done since the last one. */
export const waitingAfter = (clocks: readonly ItemClock[]): ItemClock[] =>
  clocks.filter(({ item, load }) => item.trigger.kind === 'every-play' && (load ?? 0) > 0);

/** How an instrument was put away after it was last played. */
export function packedUp(
  { steps }: Pick<Practice, 'steps'>,
  clocks: readonly ItemClock[],
  dampSince: number | null = null,
): PackedUp {
  // What was left on the way is done when it is laid out.
  if (dampSince !== null) return { awaitsPackUp: false, leftForLater: [], dampSince };
  const ofEveryPlay = clocks.filter(({ item }) => item.trigger.kind === 'every-play');
  const waiting = waitingAfter(clocks);
  const isBegun = ofEveryPlay.some(({ load, lastDone }) => load === 0 && lastDone !== null);
  const isWet = waiting.some(({ item }) => steps.some((step) => step.item === item.id && cannotWait(step)));
  const awaitsPackUp = waiting.length > 0 && (!isBegun || isWet);
  return { awaitsPackUp, leftForLater: awaitsPackUp ? [] : waiting, dampSince };
}

/** The gauge of a whole instrument: its most pressing periodic clock. Null when no clock runs. */
export function worstClock(clocks: readonly ItemClock[]): ItemClock | null {
  const running = clocks.filter(({ item, state }) => item.trigger.kind !== 'every-play' && RANK[state] <= RANK.fresh);
  return running.toSorted((a, b) => RANK[a.state] - RANK[b.state] || (b.load ?? 0) - (a.load ?? 0))[0] ?? null;
}
