import { isCalledBy, signsOf, type CareItem } from '#core/book/care-item.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { SignNoticed } from '#core/care/care-clock.ts';
import { isOpen, type FaultFacts, type InterviewNoted } from '#core/faults/fault-record.ts';
import { partHere, signHere, type FaultsHere } from '#core/faults/faults-for.ts';
import { saidYes } from '#core/faults/faults-standing.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { wallMinute } from '#core/plays/play.ts';

type Signs = ReadonlyMap<CareItemId, SignNoticed>;
/** The instrument the signs are of: its care, what can go wrong with it, and its kind. */
type SignsOf = { readonly items: readonly CareItem[]; readonly here: FaultsHere; readonly kind: InstrumentKind };

/** Care that keeps other care waiting which could do harm: what is stuck, before the bath. */
const holding = (items: readonly CareItem[]): CareItem[] =>
  items.filter(({ id }) => items.some(({ blockedBy }) => blockedBy === id));

/** The care an open interview calls for at once, with where its sign was seen. */
function calledBy(interview: InterviewNoted, { items, here, kind }: SignsOf): [CareItemId, SignNoticed][] {
  return saidYes(interview).flatMap((sign) => {
    const part = partHere(kind, signHere(here, sign)?.part) ?? kind.tube[0]?.id;
    if (part === undefined) return [];
    return holding(items)
      .filter((item) => isCalledBy(item, sign))
      .map(({ id }): [CareItemId, SignNoticed] => [id, { sign, atWallMinute: wallMinute(interview.on, 0), part }]);
  });
}

/** When it was over, by the remedy that helped or by whoever looked; null while it is open, or where it was let be. */
function overAt({ outcomes, end }: InterviewNoted): number | null {
  const times = [
    ...outcomes.filter(({ helped }) => helped).map(({ atWallMinute }) => atWallMinute),
    ...(end === null || end.by === 'nobody' ? [] : [end.atWallMinute]),
  ];
  return times.length === 0 ? null : Math.min(...times);
}

/** Was what was noticed put right by what an interview came to? */
function isPutRight(item: CareItem, noticed: SignNoticed, interviews: readonly InterviewNoted[]): boolean {
  const meant = noticed.sign === null ? signsOf(item).map(({ id }) => id) : [noticed.sign];
  return interviews.some((interview) => {
    const over = overAt(interview);
    return over !== null && over >= noticed.atWallMinute && saidYes(interview).some((sign) => meant.includes(sign));
  });
}

/**
 * The signs of care as they stand beside the interviews, for both speak of one list: what is stuck keeps the bath waiting
 * however it was said, and what was noticed is over once its remedy has helped or somebody has looked. Of two the later one
 * stands.
 */
export function signsStanding(signs: Signs, { interviews }: FaultFacts, of: SignsOf): Signs {
  const all = new Map(signs);
  for (const item of of.items) {
    const noticed = all.get(item.id);
    if (noticed === undefined) continue;
    // A screw that was put right says nothing of the pad that was noticed before it.
    const left = [...(noticed.earlier ?? []), noticed].filter((one) => !isPutRight(item, one, interviews));
    const last = left.at(-1);
    if (last === undefined) all.delete(item.id);
    else if (last !== noticed) all.set(item.id, { ...last, earlier: left.slice(0, -1) });
  }
  for (const [item, noticed] of interviews.filter(isOpen).flatMap((one) => calledBy(one, of)))
    if ((all.get(item)?.atWallMinute ?? -Infinity) < noticed.atWallMinute) all.set(item, noticed);
  return all;
}
