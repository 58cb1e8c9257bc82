import type { Format } from '#core/explain/format.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import {
  foldExamination,
  isAsItShould,
  heardBy,
  LOOK_ANSWERS,
  pitchFrom,
  type Crow,
} from '#core/doublereeds/examination.ts';
import { CROW_FOR, CROW_HOW, HEARD_WORDS, lookWords, PITCH_WORDS } from '#core/doublereeds/look-words.ts';
import { endWords } from '#core/doublereeds/end-words.ts';
import { clippableTenths, effectNow, endsTheReed, type Move } from '#core/doublereeds/next-move.ts';
import { SORT_FIGURES } from '#core/doublereeds/reed-sort.ts';
import {
  BASSOON_SOAK,
  clipsWords,
  clipWhy,
  openingWhy,
  overshootWords,
  SOAK_WORDS,
  soakWhy,
  stepWords,
  TAKE_OUT,
  TWIST_WHY,
} from '#core/doublereeds/table-words.ts';
import type { MoveView } from '#contract/doublereeds.ts';
import { soakSays } from '#server/features/doublereeds/soak-says.ts';
import type { AtHand } from '#server/features/doublereeds/table-at-hand.ts';

const MS_PER_MINUTE = 60_000;
const nothing = (): Omit<MoveView, 'title' | 'how'> => ({
  because: [],
  soak: null,
  look: null,
  crow: null,
  step: null,
  end: null,
});

type Shown = { readonly format: Format; readonly nowMs: number };

function soakView(move: Extract<Move, { move: 'soak' }>, table: AtHand, { nowMs }: Shown): MoveView {
  const { sort } = table.setting;
  const { least, usual, most } = SORT_FIGURES[sort].soak;
  const words = SOAK_WORDS[move.why];
  return {
    ...nothing(),
    title: words.title,
    how: SORT_FIGURES[sort].wired ? `${words.how} ${BASSOON_SOAK}` : words.how,
    because: soakWhy(sort),
    soak: {
      elapsedMs: Math.max(0, nowMs - move.fromMs),
      leastMs: least.value * MS_PER_MINUTE,
      usualMs: usual.value * MS_PER_MINUTE,
      mostMs: most.value * MS_PER_MINUTE,
      says: soakSays(move, table),
      takeOut: TAKE_OUT,
    },
  };
}

function lookView({ look }: Extract<Move, { move: 'look' }>, { setting, examination }: AtHand): MoveView {
  const { title, how, answers } = lookWords(look, setting.sort, examination.noticed);
  return {
    ...nothing(),
    title,
    how,
    look: { look, answers: LOOK_ANSWERS[look].map((answer) => ({ answer, words: answers[answer] ?? '' })) },
  };
}

function crowView({ after }: Extract<Move, { move: 'crow' }>, { setting: { sort } }: AtHand): MoveView {
  const from = pitchFrom(sort);
  return {
    ...nothing(),
    title: after === null ? 'Crow it' : 'Crow it again',
    how: CROW_HOW,
    crow: {
      listenFor: CROW_FOR[SORT_FIGURES[sort].crow],
      heard: heardBy(sort).map((heard) => ({
        heard,
        words: HEARD_WORDS[heard],
        asksPitch: from !== null && isAsItShould(sort, heard),
      })),
      from: from ?? 'crow',
      pitchWords: from === null ? null : PITCH_WORDS[from],
    },
  };
}

const IN_TUNE: Crow = { heard: 'both', cents: 0, from: 'crow' };

function whyStep(move: Extract<Move, { move: 'step' }>, table: AtHand, crow: Crow, format: Format): WhyLine[] {
  if (move.step === 'twist') return [...TWIST_WHY];
  const { examination, setting } = table;
  return move.step === 'clip'
    ? clipWhy(
        {
          ...{ effect: effectNow(examination, setting), crow, sort: setting.sort },
          leftTenths: clippableTenths(setting, foldExamination(examination, setting.sort).clippedTenths),
        },
        format,
      )
    : openingWhy(format);
}

function stepView(move: Extract<Move, { move: 'step' }>, table: AtHand, { format }: Shown): MoveView {
  const { examination, setting } = table;
  const { title, how, expect, never } = stepWords(move, setting.sort, format);
  const crow = foldExamination(examination, setting.sort).crow ?? IN_TUNE;
  const isClip = move.step === 'clip';
  return {
    ...nothing(),
    title,
    how,
    because: whyStep(move, table, crow, format),
    step: {
      step: move.step,
      tenths: move.tenths,
      wired: SORT_FIGURES[setting.sort].wired,
      expect,
      never,
      warn: overshootWords(move),
      howMany: isClip ? clipsWords(effectNow(examination, setting), crow, move.tenths) : null,
      done: isClip ? `Clipped ${format.number(move.tenths / 10)} mm` : 'Done, a trace',
    },
  };
}

function endView(move: Extract<Move, { move: 'end' }>, { setting, examination }: AtHand): MoveView {
  const { sort, standing } = setting;
  const { crow } = foldExamination(examination, sort);
  const stepped = examination.events.some(({ what }) => what === 'step');
  const { title, text } = endWords(move.end, { standing, sort, crow, stepped });
  return { ...nothing(), title, how: text, end: { end: move.end, endsTheReed: endsTheReed(move.end) } };
}

/** What is next at the table, with everything a screen shows of it. */
export function moveView(table: AtHand, shown: Shown): MoveView {
  const { move } = table;
  switch (move.move) {
    case 'soak':
      return soakView(move, table, shown);
    case 'look':
      return lookView(move, table);
    case 'crow':
      return crowView(move, table);
    case 'step':
      return stepView(move, table, shown);
    case 'end':
      return endView(move, table);
  }
}
