import type { CrowTarget, ReedSort } from '#core/doublereeds/reed-sort.ts';
import { SORT_FIGURES } from '#core/doublereeds/reed-sort.ts';

/** What can be looked at, in the order of the trade; lips and leak only where something was noticed that they explain. */
export const LOOKS = ['light', 'corners', 'heart', 'offset', 'opening', 'leak', 'lips'] as const;
export type Look = (typeof LOOKS)[number];

/** What each look can show; "cannot tell" is an answer everywhere. */
export const LOOK_ANSWERS = {
  light: ['whole', 'crack', 'cannot-tell'],
  corners: ['there', 'gone', 'cannot-tell'],
  heart: ['seen', 'missing', 'cannot-tell'],
  offset: ['nested', 'flush', 'cannot-tell'],
  opening: ['lens', 'gapes', 'shut', 'cannot-tell'],
  leak: ['tight', 'leaks', 'cannot-tell'],
  lips: ['better', 'same', 'cannot-tell'],
} as const satisfies Readonly<Record<Look, readonly string[]>>;
export type LookAnswer<One extends Look = Look> = (typeof LOOK_ANSWERS)[One][number];
export const ALL_LOOK_ANSWERS = [...new Set(Object.values(LOOK_ANSWERS).flat())] as readonly LookAnswer[];
/** How a reed looks that is as it should be; the lips do not mend what is not theirs. */
export const AS_IT_SHOULD: Readonly<Record<Look, LookAnswer>> = {
  light: 'whole',
  corners: 'there',
  heart: 'seen',
  offset: 'nested',
  opening: 'lens',
  leak: 'tight',
  lips: 'same',
};
export const isAnswerTo = (look: Look, answer: string): boolean =>
  (LOOK_ANSWERS[look] as readonly string[]).includes(answer);

/** What is said of the soak: it lies in water, or is wet through. */
export const SOAK_SAID = ['in', 'through'] as const;
export type SoakSaid = (typeof SOAK_SAID)[number];

/** What made somebody sit down with the reed; nothing where they only look, as before every note. */
export const NOTICED = [
  'flat',
  'sharp',
  'sank',
  'hard',
  'high-weak',
  'low-weak',
  'hiss',
  'leaks',
  'nothing-sounds',
  'coarse-sharp',
  'one-lip',
] as const;
export type Noticed = (typeof NOTICED)[number];
/** The lips may be all that is wrong: they are asked before any tool is named. */
export const OF_THE_LIPS: readonly Noticed[] = ['nothing-sounds', 'coarse-sharp', 'one-lip'];

/** What the crow can sound like. */
export const HEARD = [
  'both',
  'upper-weak',
  'upper-missing',
  'lower-weak',
  'lower-missing',
  'beating',
  'rough',
  'squeal',
  'none',
  'rattle',
  'thin',
  'roar',
  'steady',
] as const;
export type Heard = (typeof HEARD)[number];
const BARE: readonly Heard[] = ['steady', 'beating', 'rough', 'squeal', 'none'];
/** By what is asked of it: no octave is asked of a short scrape, no C of a bassoon. The first is as it should be. */
export const HEARD_OF: Readonly<Record<CrowTarget, readonly Heard[]>> = {
  octave: ['both', 'upper-weak', 'upper-missing', 'lower-weak', 'lower-missing', 'beating', 'rough', 'squeal', 'none'],
  rattle: ['rattle', 'thin', 'roar', 'none'],
  'pitch-only': BARE,
  'no-verdict': BARE,
};
export const heardBy = (sort: ReedSort): readonly Heard[] => HEARD_OF[SORT_FIGURES[sort].crow];
export const isAsItShould = (sort: ReedSort, heard: Heard): boolean => heardBy(sort)[0] === heard;

/** What a pitch was read from: the crow by itself, or the instrument. */
export const PITCH_FROM = ['crow', 'instrument'] as const;
export type PitchFrom = (typeof PITCH_FROM)[number];
/** Only a crow with a target is read by itself; nobody's pitch is read where there is no verdict. */
export const pitchFrom = (sort: ReedSort): PitchFrom | null => {
  const { crow } = SORT_FIGURES[sort];
  return crow === 'octave' ? 'crow' : crow === 'no-verdict' ? null : 'instrument';
};
/** What a tuner can show of a reed, cents to either side. */
export const FURTHEST_CENTS = 100;

/** What is done to a reed, each a trace. */
export const REED_STEPS = ['twist', 'close', 'open', 'clip'] as const;
export type ReedStep = (typeof REED_STEPS)[number];
/** More than so much nobody clips by mistake, tenths of a millimetre: what is typed so is a slip of the finger. */
export const LARGEST_SLIP = 20;

/** Everything that was said at one sitting at the table, in the order it was said. */
export type TableEvent = { readonly atMs: number } & (
  | { readonly what: 'soak'; readonly said: SoakSaid }
  | { readonly what: 'look'; readonly look: Look; readonly answer: LookAnswer }
  | { readonly what: 'crow'; readonly heard: Heard; readonly cents: number | null; readonly from: PitchFrom }
  | { readonly what: 'step'; readonly step: ReedStep; readonly tenths: number }
);
export type Crow = Omit<Extract<TableEvent, { what: 'crow' }>, 'what' | 'atMs'>;

/** How a reed is looked at: at length with steps, or in two minutes beside others. */
export const EXAMINATION_WAYS = ['whole', 'quick'] as const;
export type ExaminationWay = (typeof EXAMINATION_WAYS)[number];

export type Examination = {
  readonly way: ExaminationWay;
  readonly noticed: readonly Noticed[];
  /** When it went into the water, ms. */
  readonly soakedFromMs: number;
  readonly events: readonly TableEvent[];
};

/** What an examination has come to. An answer is null where it has to be given, or given again. */
export type TableState = {
  readonly soakFromMs: number;
  readonly throughMs: number | null;
  /** When it was last wet: out of the water, or blown. */
  readonly wetMs: number | null;
  readonly answers: Readonly<Partial<Record<Look, LookAnswer>>>;
  readonly crow: Crow | null;
  /** It was laid into water once more, and looked at once more against the light. */
  readonly soaks: number;
  readonly lightTwice: boolean;
  readonly twists: number;
  readonly openings: number;
  readonly clippedTenths: number;
};

const without = (answers: TableState['answers'], look: Look): TableState['answers'] =>
  Object.fromEntries(Object.entries(answers).filter(([one]) => one !== look));

const STEP_DOES: Readonly<Record<ReedStep, (state: TableState, tenths: number) => Partial<TableState>>> = {
  twist: ({ answers, twists }) => ({ answers: without(answers, 'offset'), twists: twists + 1 }),
  close: ({ answers, openings }) => ({ answers: without(answers, 'opening'), openings: openings + 1 }),
  open: ({ answers, openings }) => ({ answers: without(answers, 'opening'), openings: openings + 1 }),
  clip: ({ clippedTenths }, tenths) => ({ clippedTenths: clippedTenths + tenths }),
};

/** Two tones that fight, or none that holds: a crack is looked for once more. */
const CALLS_FOR_LIGHT: readonly Heard[] = ['beating', 'rough'];

function told(state: TableState, event: TableEvent, sort: ReedSort): TableState {
  switch (event.what) {
    case 'soak':
      return event.said === 'in'
        ? { ...state, soakFromMs: event.atMs, throughMs: null, crow: null, soaks: state.soaks + 1 }
        : { ...state, throughMs: event.atMs, wetMs: event.atMs };
    case 'look':
      return { ...state, answers: { ...state.answers, [event.look]: event.answer } };
    case 'crow': {
      const { heard, cents, from, atMs } = event;
      // Said of another scrape than the box has now, it is heard again.
      if (!heardBy(sort).includes(heard)) return state;
      const again = CALLS_FOR_LIGHT.includes(heard) && !state.lightTwice;
      return {
        ...state,
        crow: { heard, cents, from },
        wetMs: atMs,
        answers: again ? without(state.answers, 'light') : state.answers,
        lightTwice: state.lightTwice || again,
      };
    }
    case 'step':
      return { ...state, ...STEP_DOES[event.step](state, event.tenths), crow: null };
  }
}

/** What of an examination stands: after a step what it has changed is looked at, and the crow is heard, again. */
export function foldExamination({ soakedFromMs, events }: Examination, sort: ReedSort): TableState {
  const begun: TableState = {
    soakFromMs: soakedFromMs,
    throughMs: null,
    wetMs: null,
    answers: {},
    crow: null,
    soaks: 0,
    lightTwice: false,
    twists: 0,
    openings: 0,
    clippedTenths: 0,
  };
  return events.reduce((state, event) => told(state, event, sort), begun);
}

/** A clip with the crow before and after it, where both were read from the same. */
export type ClipSeen = {
  readonly tenths: number;
  readonly before: number;
  readonly after: number;
  readonly from: PitchFrom;
};

/** What is known between two crows: the pitch before, and what has been clipped since; null where that tells nothing. */
type Between = { readonly before: Crow | null; readonly tenths: number | null };
const NOTHING_KNOWN: Between = { before: null, tenths: null };

/** After a step: a single clip since a crow tells what a clip does; two changes, and nobody knows which did it. */
const afterStep = ({ before, tenths }: Between, step: ReedStep, taken: number): Between =>
  step === 'clip' && tenths === null && before !== null ? { before, tenths: taken } : NOTHING_KNOWN;

function seenBetween({ before, tenths }: Between, { cents, from }: Crow): ClipSeen[] {
  const known = tenths !== null && cents !== null && before?.cents != null && before.from === from;
  return known ? [{ tenths, before: before.cents, after: cents, from }] : [];
}

/** The clips of an examination whose before and after are known, in their order. */
export function clipsSeen(events: readonly TableEvent[]): ClipSeen[] {
  const seen: ClipSeen[] = [];
  let between = NOTHING_KNOWN;
  for (const event of events) {
    if (event.what === 'step') between = afterStep(between, event.step, event.tenths);
    // Dried and soaked again, its pitch may be another for that alone.
    else if (event.what === 'soak' && event.said === 'in') between = NOTHING_KNOWN;
    else if (event.what === 'crow') {
      const { heard, cents, from } = event;
      const crow = { heard, cents, from };
      seen.push(...seenBetween(between, crow));
      between = { before: crow, tenths: null };
    }
  }
  return seen;
}
