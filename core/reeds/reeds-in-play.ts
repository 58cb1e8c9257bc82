import type { KindId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { partsOfReedId, type ReedBox, type ReedId, type ReedSaid, type ReedsOfPlay } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What is known of a player's reeds. */
type Known = { readonly boxes: readonly ReedBox[]; readonly said: readonly ReedSaid[] };

export type ReedRefusal =
  | { readonly code: 'no-such-box' }
  | { readonly code: 'no-such-reed'; readonly number: number; readonly count: number }
  | { readonly code: 'box-not-here-yet'; readonly cameOn: LocalDate }
  | { readonly code: 'reed-has-ended'; readonly on: LocalDate };

/** The box of a reed, where there is such a reed. */
function boxOfReed(id: ReedId, { boxes }: Pick<Known, 'boxes'>): Outcome<ReedBox, ReedRefusal> {
  const parts = partsOfReedId(id);
  const box = boxes.find(({ key }) => key === parts?.boxKey);
  if (parts === undefined || box === undefined) return fail({ code: 'no-such-box' });
  const count = box.before.length;
  if (parts.number > count) return fail({ code: 'no-such-reed', number: parts.number, count });
  return succeed(box);
}

/** A reed on a day: there is one, its box had come, and it was not ended before. */
export function reedOn(id: ReedId, on: LocalDate, { boxes, said }: Known): Outcome<ReedBox, ReedRefusal> {
  const box = boxOfReed(id, { boxes });
  if (!box.ok) return box;
  if (on < box.value.cameOn) return fail({ code: 'box-not-here-yet', cameOn: box.value.cameOn });
  const end = said.find((one) => one.reedId === id && one.what === 'ended');
  return end !== undefined && on > end.on ? fail({ code: 'reed-has-ended', on: end.on }) : box;
}

export type ReedsInPlayRefusal = (
  | ReedRefusal
  | { readonly code: 'reed-of-another-kind' | 'reed-named-twice' }
  | { readonly code: 'more-than-the-play'; readonly reeds: number; readonly minutes: number }
) & { readonly field: string };

/**
 * May a play have been on these reeds? Every reed is one of its player and kind, was there and alive on the day, is named
 * once, and together they fit the minutes of the play.
 */
export function checkReedsInPlay(
  shares: ReedsOfPlay['shares'],
  {
    kind,
    endedOn,
    minutes,
  }: { readonly kind: KindId | undefined; readonly endedOn: LocalDate; readonly minutes: number },
  known: Known,
): Outcome<ReedsOfPlay['shares'], ReedsInPlayRefusal> {
  for (const [index, { reedId }] of shares.entries()) {
    const field = `shares[${index}].reedId`;
    const box = reedOn(reedId, endedOn, known);
    if (!box.ok) return fail({ ...box.failure, field });
    if (box.value.kind !== kind) return fail({ code: 'reed-of-another-kind', field });
    if (shares.findIndex((one) => one.reedId === reedId) !== index) return fail({ code: 'reed-named-twice', field });
  }
  const reeds = shares.reduce((sum, one) => sum + one.minutes, 0);
  return reeds > minutes ? fail({ code: 'more-than-the-play', reeds, minutes, field: 'shares' }) : succeed(shares);
}
