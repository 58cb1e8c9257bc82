import type { SignId } from '#core/book/fault.ts';
import type { Crow, Look, LookAnswer, Noticed, TableEvent } from '#core/doublereeds/examination.ts';

/** An answer of an interview of what is wrong. */
export type SaidOfSign = { readonly sign: SignId; readonly answer: 'yes' | 'no' | 'cannot-tell' };
type Seen = { readonly look: Look; readonly answer: LookAnswer };

/** Signs of an interview that are looks at the table: what yes and no mean there. */
const LOOK_OF: Readonly<
  Partial<Record<SignId, { readonly look: Look; readonly yes: LookAnswer; readonly no?: LookAnswer }>>
> = {
  'double-reed/light-line': { look: 'light', yes: 'crack', no: 'whole' },
  'double-reed/corners-seen': { look: 'corners', yes: 'gone', no: 'there' },
  'double-reed/blades-flush': { look: 'offset', yes: 'flush', no: 'nested' },
  'double-reed/gapes': { look: 'opening', yes: 'gapes' },
  'double-reed/shut-seen': { look: 'opening', yes: 'shut' },
};
/** What is complained of in an interview, as it is noticed at the table. */
const NOTICED_AS: Readonly<Partial<Record<SignId, Noticed>>> = {
  'double-reed/fell-flat': 'sank',
  'double-reed/whole-flat': 'flat',
  'double-reed/spread-flat': 'flat',
  'double-reed/biting': 'flat',
  'double-reed/high-weak': 'high-weak',
  'double-reed/low-weak': 'low-weak',
  'double-reed/hiss': 'hiss',
  'double-reed/nothing-sounds': 'nothing-sounds',
  'double-reed/coarse-sharp': 'coarse-sharp',
  'double-reed/one-lip-tires': 'one-lip',
};

/** The last answer to each sign counts. */
const lastOf = (said: readonly SaidOfSign[]): ReadonlyMap<SignId, SaidOfSign['answer']> =>
  new Map(said.map(({ sign, answer }) => [sign, answer]));

/** What an interview has noticed already: it is not asked again at the table. */
export const noticedFrom = (said: readonly SaidOfSign[]): Noticed[] => [
  ...new Set([...lastOf(said)].flatMap(([sign, answer]) => (answer === 'yes' ? (NOTICED_AS[sign] ?? []) : []))),
];

/** What has been looked at in an interview: the table takes it as it is. Neither gaping nor shut is as it should be. */
export function looksFrom(said: readonly SaidOfSign[]): Seen[] {
  const answers = lastOf(said);
  const seen = [...answers].flatMap(([sign, answer]): Seen[] => {
    const of = LOOK_OF[sign];
    const means = answer === 'yes' ? of?.yes : answer === 'no' ? of?.no : undefined;
    return of && means ? [{ look: of.look, answer: means }] : [];
  });
  const isLens = answers.get('double-reed/gapes') === 'no' && answers.get('double-reed/shut-seen') === 'no';
  return isLens ? [...seen, { look: 'opening', answer: 'lens' }] : seen;
}

const ofLook = (look: Look, answer: LookAnswer): SaidOfSign[] =>
  (Object.entries(LOOK_OF) as [SignId, NonNullable<(typeof LOOK_OF)[SignId]>][]).flatMap(([sign, of]): SaidOfSign[] => {
    if (of.look !== look || answer === 'cannot-tell') return [];
    return [{ sign, answer: of.yes === answer ? 'yes' : 'no' }];
  });
const ofCrow = ({ heard }: Pick<Crow, 'heard'>): SaidOfSign[] =>
  heard === 'lower-missing' || heard === 'lower-weak'
    ? [{ sign: 'double-reed/crow-lacks-low', answer: 'yes' }]
    : heard === 'both' || heard === 'upper-weak' || heard === 'upper-missing'
      ? [{ sign: 'double-reed/crow-lacks-low', answer: 'no' }]
      : [];

/** What something said at the table answers in the interview that led there. */
export function answersOf(
  event: Pick<TableEvent, 'what'> & Partial<Seen> & Partial<Pick<Crow, 'heard'>>,
): SaidOfSign[] {
  if (event.what === 'look' && event.look && event.answer)
    return event.look === 'lips' && event.answer !== 'cannot-tell'
      ? [{ sign: 'double-reed/lips-back-helps', answer: event.answer === 'better' ? 'yes' : 'no' }]
      : ofLook(event.look, event.answer);
  return event.what === 'crow' && event.heard ? ofCrow({ heard: event.heard }) : [];
}
