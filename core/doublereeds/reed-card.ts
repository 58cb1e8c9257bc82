import { asSentence, type Format } from '#core/explain/format.ts';
import { examinationOf, type ExaminationTold } from '#core/doublereeds/examination-noted.ts';
import { clipsSeen, type TableEvent } from '#core/doublereeds/examination.ts';
import { centsWords, stepSaid, tenthsWords } from '#core/doublereeds/table-words.ts';
import { END_WORDS, characterWords, sayingWords } from '#core/reeds/reed-words.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import type { ReedSaid } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What stands on the line of a reed's life. */
export const CARD_MARKS = ['came', 'first', 'look', 'step', 'grade', 'end'] as const;
export type CardMark = (typeof CARD_MARKS)[number];
export type CardEntry = { readonly on: LocalDate; readonly what: CardMark; readonly words: string };

export type ReedCard = {
  readonly line: readonly CardEntry[];
  readonly pitch: readonly { readonly on: LocalDate; readonly cents: number }[];
};
export type CardOf = {
  readonly reed: ReedState;
  /** Everything said of this reed, in the order it was said. */
  readonly said: readonly ReedSaid[];
  readonly examinations: readonly ExaminationTold[];
};

type StepEvent = Extract<TableEvent, { what: 'step' }>;
const isStep = (event: TableEvent): event is StepEvent => event.what === 'step';

/** The steps of one examination: each clip with the crow before and after it, where both are known. */
function stepEntries(one: ExaminationTold, format: Format): CardEntry[] {
  const { events } = examinationOf(one);
  const seen = clipsSeen(events);
  let clip = 0;
  return events.filter(isStep).map(({ step, tenths }) => {
    const words = stepSaid(step, tenths, format);
    const around = step === 'clip' && seen[clip]?.tenths === tenths ? seen[clip++] : undefined;
    const heard =
      around === undefined ? '' : `: ${centsWords(around.before)} before, ${centsWords(around.after)} after`;
    return { on: one.on, what: 'step', words: `${words}${heard}` };
  });
}

const pitchOf = ({ on, told }: ExaminationTold): ReedCard['pitch'] => {
  const last = told.findLast(({ event }) => event.what === 'crow' && event.cents !== null)?.event;
  return last?.what === 'crow' && last.cents !== null ? [{ on, cents: last.cents }] : [];
};

/** A reed's life on one line: when it came and was opened, what was done to it, how it was graded, how it ended. */
export function reedCard({ reed, said, examinations }: CardOf, format: Format): ReedCard {
  const { box, firstPlayedOn, beforeMinutes } = reed;
  const came = beforeMinutes === 0 ? 'It came new' : 'It came, played before';
  const entries: CardEntry[] = [
    { on: box.cameOn, what: 'came', words: came },
    ...(firstPlayedOn === null ? [] : [{ on: firstPlayedOn, what: 'first' as const, words: 'Opened and played' }]),
    ...examinations.flatMap((one) => [
      ...(one.told.some(({ event }) => isStep(event))
        ? []
        : [{ on: one.on, what: 'look' as const, words: 'Looked at, nothing done to it' }]),
      ...stepEntries(one, format),
    ]),
    ...said.map((one): CardEntry => ({
      on: one.on,
      what: one.what === 'ended' ? 'end' : 'grade',
      words: sayingWords(one),
    })),
  ];
  return {
    line: entries.toSorted((a, b) => a.on.localeCompare(b.on)),
    pitch: examinations.flatMap(pitchOf),
  };
}

/** The label for its reed case: what a player reads before choosing it. */
export function labelOf({ reed, examinations }: CardOf, name: string, format: Format): string[] {
  const clipped = examinations
    .flatMap(({ told }) => told.flatMap(({ event }) => (isStep(event) && event.step === 'clip' ? [event.tenths] : [])))
    .reduce((sum, tenths) => sum + tenths, 0);
  const character = reed.grade === null ? null : characterWords(reed.grade);
  return [
    name,
    reed.firstPlayedOn === null ? 'Not opened yet' : `Opened ${format.shortDate(reed.firstPlayedOn)}`,
    ...(reed.ended === null ? [] : [`Ended ${format.shortDate(reed.ended.on)}: ${END_WORDS[reed.ended.cause]}`]),
    ...(character === null ? [] : [asSentence(character)]),
    ...(clipped === 0 ? [] : [`Clipped ${tenthsWords(clipped, format)} so far`]),
  ];
}
