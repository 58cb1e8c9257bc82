import { carePaths } from '#contract/care.ts';
import { faultPaths, faultsPage, type FaultsPage, type QuestionView } from '#contract/faults.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { CauseId, Mishap, SignId } from '#core/book/fault.ts';
import type { PartId } from '#core/instruments/kind.ts';
import { answered, answeredOfAll, type Said } from '#core/faults/said.ts';
import type { Answer } from '#core/faults/stops.ts';
import type { Person } from '#tools/lives/person.ts';

/** No interview asks more. */
const MOST_QUESTIONS = 30;

/** What is so with an instrument that somebody looks at: a sign that is not named here is not there. */
export type Truth = Readonly<Partial<Record<SignId, Answer>>>;

const pageOf = async (person: Person, instrumentId: string): Promise<FaultsPage> =>
  faultsPage.validateSync(await person.get(faultPaths.page(instrumentId, person.today, 'quick', person.id)), {
    strict: true,
  });

/** What the page says in the end. */
function verdictOf({ stopped, open }: FaultsPage): string {
  if (stopped) return `stopped: ${stopped.heading}`;
  const first = open?.suspected[0];
  return first ? `${first.wordSaid}, ${first.name}` : 'nobody knows: show it';
}

/** What somebody says who looks: of several things that one look shows the first that is so; else all that is. */
function answerOf({ sign, options, several }: QuestionView, truth: Truth): Said {
  const offered = options?.map((option) => option.sign) ?? [sign];
  const is = (answer: Answer) => offered.find((one) => truth[one] === answer);
  if (several)
    return answeredOfAll(
      offered,
      offered.filter((one) => truth[one] === 'yes'),
    );
  const named = is('yes');
  if (named !== undefined) return answered(offered, 'yes', named);
  return answered(offered, is('cannot-tell') === undefined ? 'no' : 'cannot-tell');
}
const saidOf = ({ options }: QuestionView, { sign, answer }: Said): string =>
  (answer === 'yes' && options?.find((option) => option.sign === sign)?.words) || answer;

/** Notices something, and answers what is asked as it is, until nothing more is asked. */
export async function askedAbout(
  person: Person,
  {
    instrumentId,
    noticed,
    truth,
  }: { readonly instrumentId: string; readonly noticed: readonly SignId[]; readonly truth: Truth },
): Promise<FaultsPage> {
  const key = await person.log(faultPaths.begin, { instrumentId, noticed });
  for (let asked = 0; asked < MOST_QUESTIONS; asked++) {
    const page = await pageOf(person, instrumentId);
    const question = page.open?.question ?? null;
    if (question === null) {
      person.note(`  ${instrumentId}: ${verdictOf(page)}`);
      return page;
    }
    const said = answerOf(question, truth);
    person.note(`  ${instrumentId}: ${question.question} ${saidOf(question, said)}`);
    await person.log(faultPaths.answer, { interviewKey: key, ...said });
  }
  throw new Error(`${instrumentId}: it is asked on and on`);
}

const saidYes = ({ said }: NonNullable<FaultsPage['open']>): SignId[] =>
  said.filter(({ answer }) => answer === 'yes').map(({ sign }) => sign);

/** Taps a sign where it is seen. */
export async function taps(
  person: Person,
  seen: { readonly instrumentId: string; readonly itemId: CareItemId; readonly sign: SignId; readonly part: PartId },
): Promise<void> {
  await person.log(carePaths.signs, seen);
  person.deeds.push({ did: 'noticed', instrumentId: seen.instrumentId, itemId: seen.itemId });
  person.note(`  ${seen.instrumentId}: ${seen.sign} tapped on the ${seen.part}`);
}

/** The remedy of what was suspected first is done, step by step where it is a run, and it helps. */
export async function itHelped(person: Person, { instrumentId, open }: FaultsPage): Promise<CauseId | null> {
  const suspect = open?.suspected[0];
  if (open === null || suspect === undefined) return null;
  const { cause, remedy } = suspect;
  if (remedy.care?.isRun) {
    await person.run('care', [{ instrumentId, itemIds: [remedy.care.itemId] }]);
    person.note(`  ${instrumentId}: ${remedy.care.name}, step by step`);
  }
  await person.log(faultPaths.outcome, { interviewKey: open.key, cause, helped: true });
  person.deeds.push({ did: 'mended', instrumentId, signs: saidYes(open) });
  person.note(`  ${instrumentId}: ${cause}, that was it`);
  return cause;
}

/** Somebody with a name has looked at what was stopped. */
export async function wasCleared(person: Person, instrumentId: string): Promise<void> {
  const { stopped, open } = await pageOf(person, instrumentId);
  if (stopped === null) return;
  await person.log(faultPaths.end, { faultKey: stopped.key, by: stopped.clearedBy });
  person.deeds.push({ did: 'mended', instrumentId, signs: open?.key === stopped.key ? saidYes(open) : [] });
  person.note(`  ${instrumentId}: ${stopped.clearedWords}`);
}

/** Something happened to it. */
export const happenedTo = (person: Person, instrumentId: string, mishap: Mishap, part: string | null = null) =>
  person.log(faultPaths.mishap, { instrumentId, mishap, part, happenedOn: person.today });
