import type { CareItemId } from '#core/book/care-ids.ts';
import type { SignNoticed } from '#core/care/care-clock.ts';
import { isOpen, type FaultFacts, type InterviewNoted } from '#core/faults/fault-record.ts';
import { partHere, signHere, type FaultsHere } from '#core/faults/faults-for.ts';
import { saidIn } from '#core/faults/faults-standing.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { wallMinute } from '#core/plays/play.ts';

type Signs = ReadonlyMap<CareItemId, SignNoticed>;

/** The care an open interview calls for at once, with where its sign was seen. */
const calledBy = (interview: InterviewNoted, here: FaultsHere, kind: InstrumentKind): [CareItemId, SignNoticed][] =>
  [...new Map(saidIn(interview).map((one) => [one.sign, one.answer]))].flatMap(([sign, answer]) => {
    const said = signHere(here, sign);
    const part = partHere(kind, said?.part) ?? kind.tube[0]?.id;
    if (answer !== 'yes' || said?.calls === undefined || part === undefined) return [];
    return [[said.calls, { atWallMinute: wallMinute(interview.on, 0), part }]];
  });

/**
 * The signs of care, with those said in interviews that are still open: what is stuck keeps the bath waiting however it was
 * said. The later of two stands.
 */
export function withCalledCare(
  signs: Signs,
  { interviews }: FaultFacts,
  here: FaultsHere,
  kind: InstrumentKind,
): Signs {
  const all = new Map(signs);
  for (const [item, noticed] of interviews.filter(isOpen).flatMap((one) => calledBy(one, here, kind)))
    if ((all.get(item)?.atWallMinute ?? -Infinity) < noticed.atWallMinute) all.set(item, noticed);
  return all;
}
