import type { SignId } from '#core/book/fault.ts';
import { causeHere, signHere } from '#core/faults/faults-for.ts';
import { faultNote } from '#core/faults/fault-note.ts';
import type { InterviewNoted } from '#core/faults/fault-record.ts';
import { CHANCE_WORDS_SAID, riskWords } from '#core/faults/fault-words.ts';
import { saidIn, triedIn } from '#core/faults/faults-standing.ts';
import { interview, type Interview, type InterviewWay } from '#core/faults/interview.ts';
import { saidOfKnown, stillSaid } from '#core/faults/said.ts';
import type { Answer } from '#core/faults/stops.ts';
import type { Looked } from '#server/views/looked-at.ts';

/** How an interview stands by all that was said and the record knows. */
export const standsOf = (
  noted: InterviewNoted,
  way: InterviewWay,
  { here, risks, faults, ofPlayer, doer }: Looked,
): Interview =>
  interview({
    here,
    beforehand: { risks: new Set(risks.map(({ risk }) => risk)), outcomes: faults.outcomes, ofPlayer },
    player: doer,
    way,
    // What this instrument cannot show any more, since its build was put right, is left out.
    said: saidIn(noted).flatMap((said) => saidOfKnown(said, (sign) => signHere(here, sign) !== undefined) ?? []),
    tried: triedIn(noted),
  });

/** The note for whoever looks at it next. */
export function noteOf(
  noted: InterviewNoted,
  stands: Interview,
  { reading, here, risks, format, situation }: Looked,
): string {
  const words = (id: SignId): string => signHere(here, id)?.words ?? id;
  const still = stillSaid(saidIn(noted));
  /** Everything else was asked about: what is so was noticed, the rest would be a page of what is not. */
  const rest = still.filter(({ said }) => said.also !== undefined);
  const withAnswer = (answer: Answer, noticed = false) =>
    still
      .filter((one) => (one.said.noticed || (answer === 'yes' && rest.includes(one))) === noticed)
      .filter((one) => answer === 'yes' || !rest.includes(one))
      .flatMap(({ answers }) => answers.filter(([, its]) => its === answer).map(([sign]) => words(sign)));
  return faultNote(
    {
      instrument: reading.instrument.name,
      since: noted.on,
      noticed: withAnswer('yes', true),
      seen: withAnswer('yes'),
      notSeen: withAnswer('no'),
      nothingElse: rest.some(({ said }) => said.answer === 'no'),
      unsure: withAnswer('cannot-tell'),
      tried: noted.outcomes.map(({ cause, helped }) => ({ name: causeHere(here, cause)?.name ?? cause, helped })),
      known: risks.map((risk) => riskWords(risk, format)),
      // What is stopped goes by rule: no odds stand beside it.
      suspected: (stands.stopped ? [] : stands.suspected)
        .slice(0, 3)
        .map(({ cause, word }) => `${cause.name} (${CHANCE_WORDS_SAID[word].toLowerCase()})`),
      hasCase: situation.kind.loose.some(({ id }) => id === 'case'),
    },
    format,
  );
}
