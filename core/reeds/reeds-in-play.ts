import type { KindId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { endOf, playsOverlap, spanOf, type PlaySpan } from '#core/plays/play.ts';
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

/** A play and what of it was on which reed. */
export type PlayOnReeds = PlaySpan & { readonly shares: ReedsOfPlay['shares'] };

/**
 * The first reed that would have been played for longer than the plays it was on took, and how long both are. Two
 * clarinets of one concert may share a mouthpiece, so that plays may overlap; of those that ended in one minute nobody has
 * said which came first: they are an evening, logged in one go.
 */
function playedTooLong(play: PlayOnReeds, others: readonly PlayOnReeds[]) {
  const beside = others.filter((one) => playsOverlap(one, play) && endOf(one) !== endOf(play));
  for (const [index, { reedId }] of play.shares.entries()) {
    const minutesOf = ({ shares }: PlayOnReeds) => shares.find((one) => one.reedId === reedId)?.minutes ?? 0;
    const all = [play, ...beside.filter((one) => minutesOf(one) > 0)];
    const spans = all.flatMap((one) => spanOf(one) ?? []);
    const minutes = Math.max(...spans) - Math.min(...spans);
    const reeds = all.reduce((sum, one) => sum + minutesOf(one), 0);
    if (all.length > 1 && reeds > minutes) return { index, reeds, minutes };
  }
  return null;
}

export type ReedsInPlayRefusal = (
  | ReedRefusal
  | { readonly code: 'reed-of-another-kind' | 'reed-named-twice' }
  | {
      readonly code: 'more-than-the-play' | 'reed-on-two-plays';
      readonly reeds: number;
      readonly minutes: number;
    }
) & { readonly field: string };

/**
 * May a play have been on these reeds? Every reed is one of its player and kind, was there and alive on the day, is named
 * once, and together they fit the minutes of the play. `others` are plays that may have gone on at the same hour: one
 * reed is not on two instruments at once.
 */
export function checkReedsInPlay(
  shares: ReedsOfPlay['shares'],
  play: PlaySpan & { readonly kind: KindId | undefined },
  known: Known,
  others: readonly PlayOnReeds[] = [],
): Outcome<ReedsOfPlay['shares'], ReedsInPlayRefusal> {
  const { kind, endedOn, minutes } = play;
  for (const [index, { reedId }] of shares.entries()) {
    const field = `shares[${index}].reedId`;
    const box = reedOn(reedId, endedOn, known);
    if (!box.ok) return fail({ ...box.failure, field });
    if (box.value.kind !== kind) return fail({ code: 'reed-of-another-kind', field });
    if (shares.findIndex((one) => one.reedId === reedId) !== index) return fail({ code: 'reed-named-twice', field });
  }
  const reeds = shares.reduce((sum, one) => sum + one.minutes, 0);
  if (reeds > minutes) return fail({ code: 'more-than-the-play', reeds, minutes, field: 'shares' });
  const tooLong = playedTooLong({ ...play, shares }, others);
  if (tooLong === null) return succeed(shares);
  const { index, ...how } = tooLong;
  return fail({ code: 'reed-on-two-plays', ...how, field: `shares[${index}].reedId` });
}
