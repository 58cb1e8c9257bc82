import type { FaultSign, SignId } from '#core/book/fault.ts';
import {
  bookSign,
  causeHere,
  partHere,
  signHere,
  type FaultsHere,
  type TogetherHere,
} from '#core/faults/faults-for.ts';
import { isOpen, type InterviewNoted } from '#core/faults/fault-record.ts';
import {
  againWords,
  CHANCE_WORDS_SAID,
  elsewhereWords,
  endWords,
  MISHAP_NAMES,
  mishapSaid,
  outcomeSaid,
  riskWords,
} from '#core/faults/fault-words.ts';
import { saidIn, type SaidInInterview } from '#core/faults/faults-standing.ts';
import type { Interview, InterviewWay, Suspected } from '#core/faults/interview.ts';
import type { Question } from '#core/faults/questions.ts';
import { answersOf, stillSaid, type StillSaid } from '#core/faults/said.ts';
import { MISHAPS } from '#core/book/fault.ts';
import { stopSaid } from '#core/faults/stop-words.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { boreStrip, partName } from '#core/instruments/bore-strip.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { FaultsPage, InterviewView, Noticeable, QuestionView, SuspectView } from '#contract/faults.ts';
import { noteOf, standsOf } from '#server/views/interview-stands.ts';
import { lookAt, nameOfPart, remedyView, type Looked } from '#server/views/looked-at.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

/** What was solved is shown so many times. */
const SHOWN_BEFORE = 5;

/** What speaks for a cause: of the record what makes it likelier, of the answers those it shows. */
function because({ cause }: Suspected, noted: InterviewNoted, looked: Looked): SuspectView['because'] {
  const { here, risks, ofPlayer, format } = looked;
  const answered = answersOf(saidIn(noted));
  const ofSigns = cause.links.flatMap(({ sign }) => {
    const answer = answered.get(sign);
    const words = signHere(here, sign)?.words;
    if (answer === undefined || answer === 'cannot-tell' || words === undefined) return [];
    return [{ text: answer === 'yes' ? `${words}.` : `Against it: “${words}” is not so.`, mark: 'yours' as const }];
  });
  const ofRisks = risks
    .filter(({ risk }) => cause.likelier?.[risk] !== undefined)
    .map((risk) => ({ text: riskWords(risk, format), mark: 'yours' as const }));
  const elsewhere = elsewhereWords(ofPlayer.of.get(cause.id) ?? 0);
  const common = { common: 'It is common', ordinary: 'It is not rare', uncommon: 'It is uncommon', rare: 'It is rare' };
  return [
    ...ofSigns,
    ...ofRisks,
    ...(elsewhere === null ? [] : [{ text: elsewhere, mark: 'yours' as const }]),
    { text: `${common[cause.common]} among what goes wrong.`, mark: 'estimate' as const },
  ];
}

function suspectView(suspected: Suspected, noted: InterviewNoted, looked: Looked): SuspectView {
  const { cause, chance, word } = suspected;
  return {
    cause: cause.id,
    name: cause.name,
    partName: nameOfPart(looked, cause.part),
    word,
    wordSaid: CHANCE_WORDS_SAID[word],
    percent: Math.round(100 * chance),
    remedy: remedyView(cause, looked),
    because: because(suspected, noted, looked),
    again: againWords(looked.faults.outcomes.of.get(cause.id) ?? 0),
    wasTried: noted.outcomes.some((one) => one.cause === cause.id && !one.helped),
  };
}

/** Why this question is asked now. */
function whyAsked({ stop, sign, together }: Question, { suspected }: Interview): string {
  if (stop) return 'It comes first: it decides whether the instrument may be played at all.';
  if (together?.several)
    return 'One look has not settled it. What comes along with a fault tells as much as a look, and takes no tool.';
  const asked = new Set((together?.signs ?? [sign]).map(({ id }) => id));
  const shown = suspected
    .filter(({ cause }) => cause.links.some((link) => asked.has(link.sign)))
    .map(({ cause }) => cause.name);
  const [first, second] = shown;
  if (first === undefined) return 'It tells most of what is still open, for the time it takes.';
  return second === undefined
    ? `It tells most for the time it takes: whether it is “${first}”.`
    : `It tells most for the time it takes: “${first}” and “${second}” hang on it.`;
}

const optionsOf = (signs: readonly FaultSign[]) => signs.map(({ id, words }) => ({ sign: id, words }));

/** How often a sign is what somebody comes with: the likeliest of its causes, by the words of the tables. */
const howOften = ({ causes, figures }: FaultsHere, id: SignId): number =>
  causes.reduce((sum, { common, links }) => {
    const link = links.find(({ sign }) => sign === id);
    return sum + (link ? figures.prior[common].value * figures.link[link.word].value : 0);
  }, 0);

const mostFrequentFirst = (signs: readonly FaultSign[], here: FaultsHere): FaultSign[] =>
  signs
    .map((sign) => ({ sign, often: howOften(here, sign.id) }))
    .sort((a, b) => b.often - a.often)
    .map(({ sign }) => sign);

/** One look's signs as the book has them; everything else that may be noticed, the most frequent first. */
const offered = ({ signs, several }: TogetherHere, here: FaultsHere): readonly FaultSign[] =>
  several ? mostFrequentFirst(signs, here) : signs;

function questionView(question: Question, stands: Interview, looked: Looked): QuestionView {
  const { sign, stop, together } = question;
  return {
    sign: sign.id,
    ...(together
      ? {
          question: together.question,
          options: optionsOf(offered(together, looked.here)),
          several: together.several,
        }
      : { question: sign.question, options: null, several: false }),
    how: (together ?? sign).how ?? null,
    // Everything else is not at one place.
    part: together?.several ? null : partHere(looked.situation.kind, sign.part),
    partName: together?.several ? null : nameOfPart(looked, sign.part),
    tool: together ? null : (sign.tool ?? null),
    isStop: stop !== null,
    why: whyAsked(question, stands),
  };
}

/** One thing said, as it still stands; nothing where this instrument cannot show it any more. */
function saidView({ said, answers }: StillSaid<SaidInInterview>, here: FaultsHere): InterviewView['said'] {
  const known = answers.flatMap(([id, answer]) => {
    const sign = signHere(here, id);
    return sign ? [{ sign, answer }] : [];
  });
  // What was named, where nothing later speaks of it.
  const first = known.find(({ sign }) => sign.id === said.sign) ?? known[0];
  if (first === undefined) return [];
  const { id, words, question } = first.sign;
  const asked = said.also
    ? here.whatElse
    : said.beside && here.together.find(({ signs }) => signs.some((sign) => sign.id === id));
  return [
    {
      key: said.key,
      sign: id,
      words,
      ...(asked && known.length > 1
        ? { question: asked.question, options: optionsOf(known.map(({ sign }) => sign)), several: asked.several }
        : { question, options: null, several: false }),
      answer: first.answer,
      so: known.filter(({ answer }) => answer === 'yes').map(({ sign }) => sign.id),
      noticed: said.noticed,
      stops: first.answer !== 'no' && here.stops.some((rule) => rule.sign === id),
    },
  ];
}

function interviewView(noted: InterviewNoted, way: InterviewWay, looked: Looked): InterviewView {
  const { here, reader } = looked;
  const stands = standsOf(noted, way, looked);
  const said = stillSaid(saidIn(noted)).flatMap((one) => saidView(one, here));
  const forChild = reader.standing === 'child';
  const against = said.find(({ sign }) => sign === stands.against);
  return {
    key: noted.key,
    on: noted.on,
    said,
    suspected: stands.suspected.slice(0, 3).map((one) => suspectView(one, noted, looked)),
    notInListPercent: Math.round(100 * stands.notInList),
    question: stands.next && questionView(stands.next, stands, looked),
    asked: stands.asked,
    endWords: stands.end && endWords(stands.end, forChild),
    forChild,
    // Of several asked about at once, what was asked says more than the one that comes first.
    against: against ? { sign: against.sign, words: against.options ? against.question : against.words } : null,
    note: noteOf(noted, stands, looked),
  };
}

/** What can be said to be noticed, the most frequent first; what is only tried is none of it. */
const noticeable = (looked: Looked): Noticeable[] =>
  mostFrequentFirst(
    looked.here.signs.filter(({ sort }) => sort !== 'trial'),
    looked.here,
  ).map(({ id, words, sense, sort, notes, part, also }) => ({
    sign: id,
    words,
    sense,
    sort,
    notes: notes ?? null,
    part: partHere(looked.situation.kind, part),
    partName: nameOfPart(looked, part),
    also: [...(also ?? [])],
  }));

/** What is wrong with an instrument, and what happened to it. */
export function faultsPageOf(
  services: Services,
  id: string,
  { today, way, by }: { readonly today: LocalDate; readonly way: InterviewWay; readonly by?: PlayerId | undefined },
): Outcome<FaultsPage, Failure> {
  const looked = lookAt(services, id, today, by);
  if (!looked) return fail(noInstrument());
  const { reading, situation, faults, here, risks, format } = looked;
  const before = reading.facts.faults.interviews
    .filter((one) => !isOpen(one) && !one.endedAlong)
    .toReversed()
    .slice(0, SHOWN_BEFORE);
  return succeed({
    instrumentId: reading.instrument.id,
    playerId: reading.player.id,
    stopped: faults.stopped && stopSaid(faults.stopped, looked.reader),
    open: faults.open && interviewView(faults.open, way, looked),
    noticeable: noticeable(looked),
    known: risks.map((risk) => ({ text: riskWords(risk, format), mark: 'yours' as const })),
    mishaps: faults.mishaps.map(({ key, mishap, part, on }) => ({
      key,
      on,
      words: `${mishapSaid(mishap)}${part === null ? '' : `: ${partName(situation.kind, part).toLowerCase()}`}`,
    })),
    mishapOffers: MISHAPS.map((mishap) => ({ mishap, name: MISHAP_NAMES[mishap], asksPart: mishap === 'knocked' })),
    parts: [...boreStrip(situation.kind, reading.instrument.build, 0), ...situation.kind.loose].map(
      ({ id: part, name }) => ({ part, name }),
    ),
    before: before.map(({ key, on, noticed, outcomes }) => {
      const helped = outcomes.find((one) => one.helped);
      const what = noticed.map((sign) => bookSign(services.book, sign)?.words ?? sign).join('; ');
      const found = helped && outcomeSaid(causeHere(here, helped.cause)?.name, helped.cause, true);
      return { key, on, text: found ? `${what}. ${found}.` : `${what}.` };
    }),
  });
}
