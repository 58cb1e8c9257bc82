import {
  afterClip,
  clipEffect,
  OVERSHOOTS_ABOVE,
  sumsWith,
  type ClipEffect,
  type ClipSums,
} from '#core/doublereeds/clip-effect.ts';
import {
  clipsSeen,
  foldExamination,
  isAsItShould,
  OF_THE_LIPS,
  pitchFrom,
  type ClipSeen,
  type Crow,
  type Examination,
  type Heard,
  type Look,
  type ReedStep,
  type TableState,
} from '#core/doublereeds/examination.ts';
import {
  ARRIVED_USED,
  AT_MOST,
  DRY_AFTER,
  IN_TUNE,
  RISELESS_CLIPS,
  SORT_FIGURES,
  type ReedSort,
} from '#core/doublereeds/reed-sort.ts';
import type { Standing } from '#core/players/player.ts';

const MS_PER_MINUTE = 60_000;

/** What is known of a reed and whoever holds it, beside what is said at the table. */
export type TableSetting = {
  readonly sort: ReedSort;
  readonly standing: Standing;
  /** Clipped in its life before this examination, and what of it and of changes of the opening belongs to the same sitting. */
  readonly clippedTenths: number;
  readonly sitting: { readonly clippedTenths: number; readonly openings: number };
  /** As it came; null where nobody measured it. */
  readonly lengthTenths: number | null;
  readonly arrivedUsed: boolean;
  /** The last clips of this reed before this examination, with the crow around them. */
  readonly clips: readonly ClipSeen[];
  /** All clips of this player's reeds of this kind before it, added up: asked for only where one is to come. */
  readonly ofKind: () => ClipSums;
  /** It is played no more, whatever is said here. */
  readonly hasEnded: boolean;
};

/** How an examination ends, the reed's state in a word. */
export const TABLE_ENDS = [
  'retired',
  'cracked',
  'corners-gone',
  'poor-heart',
  'leaks',
  'maybe-cracked',
  'lips',
  'show-flush',
  'show-opening',
  'show-flat',
  'show-leak',
  'show-lips',
  'still-flush',
  'blades-unequal',
  'never-steady',
  'never-sounds',
  'high-weak',
  'low-weak',
  'contradicts',
  'play',
  'play-sharp',
  'no-verdict',
  'play-in',
  'opening-unseen',
  'enough-today',
  'life-clipped',
  'no-rise',
  'overshoots',
  'keep',
  'send-back',
] as const;
export type TableEnd = (typeof TABLE_ENDS)[number];
/** Those that end the reed's life: it is played no more from that moment on. */
export const ENDS_THE_REED = ['cracked', 'leaks'] as const satisfies readonly TableEnd[];
export const endsTheReed = (end: TableEnd): boolean => (ENDS_THE_REED as readonly TableEnd[]).includes(end);

export type Move =
  /** In water; `isStepWaiting`: everything is looked at, only what is done to it waits for the least. */
  | {
      readonly move: 'soak';
      readonly fromMs: number;
      readonly why: 'first' | 'dry' | 'again' | 'step-waits';
    }
  | { readonly move: 'look'; readonly look: Look; readonly again: boolean }
  | { readonly move: 'crow'; readonly after: ReedStep | null }
  | {
      readonly move: 'step';
      readonly step: ReedStep;
      readonly tenths: number;
      /** Of a clip: where the pitch is expected to come to, cents, and whether that is beyond in tune. */
      readonly expected: { readonly cents: number; readonly overshoots: boolean } | null;
    }
  | { readonly move: 'end'; readonly end: TableEnd };

const end = (which: TableEnd): Move => ({ move: 'end', end: which });

/** Looks in their order, as far as they are asked of this reed now. */
function looksAsked({ noticed, way }: Examination, sort: ReedSort, { answers }: TableState): Look[] {
  const { nests } = SORT_FIGURES[sort];
  // Edges that lie flush hiss: they are turned back first, and then it is heard whether that was all.
  const isHissing = noticed.includes('hiss') && answers.offset !== 'flush';
  const isTried = way === 'whole';
  return [
    'light',
    'corners',
    'heart',
    ...(nests ? (['offset'] as const) : []),
    'opening',
    ...(isTried && (noticed.includes('leaks') || isHissing) ? (['leak'] as const) : []),
    ...(isTried && OF_THE_LIPS.some((one) => noticed.includes(one)) ? (['lips'] as const) : []),
  ];
}

/** What a look alone ends, whatever else would be found. */
function endOfLook(look: Look, { answers }: TableState, { noticed }: Examination): TableEnd | null {
  const answer = answers[look];
  if (answer === 'crack') return 'cracked';
  if (answer === 'gone') return 'corners-gone';
  if (answer === 'missing') return 'poor-heart';
  if (answer === 'better') return 'lips';
  // Air at the back of a reed that is wet through: nothing closes it. At the side of a bassoon reed its maker looks.
  if (answer === 'leaks') return noticed.includes('leaks') ? 'leaks' : 'show-leak';
  if (look === 'leak' && answer === 'cannot-tell') return 'show-leak';
  // One lip that presses, whatever is tried: nothing is done to a reed for it.
  if (look === 'lips' && (answer === 'cannot-tell' || noticed.includes('one-lip'))) return 'show-lips';
  return null;
}

/** No tool is taken to a reed that may be cracked. */
const mayBeCracked = ({ answers }: TableState, { noticed }: Examination): boolean =>
  answers.light === 'cannot-tell' || noticed.includes('sank');

/** Tenths of a millimetre this reed may still lose: in its life, and never below its shortest. */
export function clippableTenths(setting: TableSetting, clippedHere: number): number {
  const { sort, clippedTenths, lengthTenths, arrivedUsed } = setting;
  const { lifeTenths, shortestTenths } = SORT_FIGURES[sort];
  const life = Math.floor(lifeTenths.value * (arrivedUsed ? ARRIVED_USED.value : 1));
  const clipped = clippedTenths + clippedHere;
  const byLength =
    lengthTenths === null || shortestTenths === null ? Infinity : lengthTenths - clipped - shortestTenths.value;
  return Math.max(0, Math.min(life - clipped, byLength));
}

/** What is found with nothing left to look at; a step is what a grown-up does about it, and a sentence for others. */
type Found = { readonly end: TableEnd } | { readonly step: Exclude<ReedStep, 'clip'> } | { readonly step: 'clip' };

/** The opening, where it is to blame; changed at most so often in a sitting. */
function setOpening(step: 'open' | 'close', state: TableState, { sitting }: TableSetting): Found {
  return sitting.openings + state.openings >= AT_MOST.openings.value ? { end: 'enough-today' } : { step };
}

/** What a crow that is not as it should be leads to: by the opening that was seen, else soaked once more, else this. */
type WrongCrow = {
  readonly shut?: 'open' | TableEnd;
  readonly gapes?: TableEnd;
  readonly soakFirst?: true;
  readonly otherwise: 'open' | 'close' | TableEnd;
};
const WRONG_CROW: Readonly<Partial<Record<Heard, WrongCrow>>> = {
  'upper-weak': { shut: 'open', otherwise: 'high-weak' },
  'upper-missing': { shut: 'open', otherwise: 'high-weak' },
  'lower-weak': { shut: 'open', otherwise: 'low-weak' },
  'lower-missing': { shut: 'open', otherwise: 'low-weak' },
  beating: { otherwise: 'blades-unequal' },
  rough: { shut: 'open', soakFirst: true, otherwise: 'never-steady' },
  squeal: { shut: 'open', soakFirst: true, otherwise: 'never-sounds' },
  none: { shut: 'open', soakFirst: true, otherwise: 'never-sounds' },
  thin: { gapes: 'contradicts', otherwise: 'open' },
  roar: { shut: 'contradicts', otherwise: 'close' },
};

function ofWrongCrow({ heard }: Crow, state: TableState, setting: TableSetting): Found | 'soak-again' {
  const { shut, gapes, soakFirst, otherwise } = WRONG_CROW[heard] ?? { otherwise: 'contradicts' };
  const { opening } = state.answers;
  const bySight = opening === 'shut' ? shut : opening === 'gapes' ? gapes : undefined;
  if (bySight === undefined && soakFirst && state.soaks === 0) return 'soak-again';
  const leads = bySight ?? otherwise;
  return leads === 'open' || leads === 'close' ? setOpening(leads, state, setting) : { end: leads };
}

/** A crow as it should be, at this pitch. */
function ofPitch(cents: number | null, { noticed }: Examination, state: TableState, setting: TableSetting): Found {
  const { opening } = state.answers;
  const pitch = cents ?? 0;
  if (opening === 'shut') return setOpening('open', state, setting);
  if (pitch > IN_TUNE.sharp.value) return { end: 'play-sharp' };
  if (opening === 'gapes') return setOpening('close', state, setting);
  if (pitch >= IN_TUNE.flat.value) {
    if (noticed.includes('hard')) return { end: 'play-in' };
    return { end: cents === null ? 'no-verdict' : 'play' };
  }
  // Hard, it is not clipped as well: the tip would only grow thicker.
  if (noticed.includes('hard')) return { end: 'play-in' };
  return opening === 'cannot-tell' ? { end: 'opening-unseen' } : { step: 'clip' };
}

/** What a clip is believed to do, the clips of this very examination among those it is learned from. */
export const effectNow = ({ events }: Examination, { sort, ofKind }: TableSetting): ClipEffect =>
  clipEffect(sort, sumsWith(ofKind(), clipsSeen(events)));

/** A clip is proposed as long as limits, what the last ones did, and what is expected of it allow. */
function clipMove(exam: Examination, crow: Crow, state: TableState, setting: TableSetting): Move {
  const { sort, sitting } = setting;
  const sittingLeft = AT_MOST.clippedTenths.value - sitting.clippedTenths - state.clippedTenths;
  const lifeLeft = clippableTenths(setting, state.clippedTenths);
  const last = [...setting.clips, ...clipsSeen(exam.events)].slice(-RISELESS_CLIPS);
  if (last.length === RISELESS_CLIPS && last.every(({ before, after }) => after <= before)) return end('no-rise');
  if (lifeLeft < 1) return end('life-clipped');
  if (sittingLeft < 1) return end('enough-today');
  const cents = crow.cents ?? 0;
  const from = crow.from;
  const effect = effectNow(exam, setting);
  for (let tenths = Math.min(SORT_FIGURES[sort].clipTenths.value, sittingLeft, lifeLeft); tenths >= 1; tenths--) {
    const expected = afterClip(effect, { cents, tenths, from });
    // Farther from in tune than before, it is not cut: what is off stays off.
    if (Math.abs(expected) < Math.abs(cents))
      return {
        move: 'step',
        step: 'clip',
        tenths,
        expected: { cents: expected, overshoots: expected > OVERSHOOTS_ABOVE.value },
      };
  }
  return end('overshoots');
}

/** What somebody who is no grown-up is told instead of a step. */
const SHOWN: Readonly<Record<ReedStep, TableEnd>> = {
  twist: 'show-flush',
  close: 'show-opening',
  open: 'show-opening',
  clip: 'show-flat',
};

type AtTable = { readonly state: TableState; readonly setting: TableSetting; readonly nowMs: number };
/** Is there water enough in it for a step? Never before the least, never once it may be dry again. */
function stepOrSoak(move: Move, { state, setting, nowMs }: AtTable): Move {
  if (move.move !== 'step') return move;
  const least = SORT_FIGURES[setting.sort].soak.least.value * MS_PER_MINUTE;
  return nowMs - state.soakFromMs < least ? { move: 'soak', fromMs: state.soakFromMs, why: 'step-waits' } : move;
}

/** A step for whoever may take it, a sentence for others. */
function stepFor(step: ReedStep, make: () => Move, { state, setting, nowMs }: AtTable): Move {
  return setting.standing === 'grown-up' ? stepOrSoak(make(), { state, setting, nowMs }) : end(SHOWN[step]);
}

const trace = (step: Exclude<ReedStep, 'clip'>): Move => ({
  move: 'step',
  step,
  tenths: AT_MOST.openingTenths.value,
  expected: null,
});

/** Looked at in two minutes beside others: kept, shown or sent back. */
function quickEnd({ answers }: TableState): Move {
  if (answers.offset === 'flush') return end('show-flush');
  if (answers.opening !== 'lens') return end('show-opening');
  return end(answers.light === 'cannot-tell' ? 'maybe-cracked' : 'keep');
}
/** What is looked at quickly and fails is not the player's to mend: it has only just come. */
const SENT_BACK: readonly TableEnd[] = ['cracked', 'corners-gone', 'poor-heart'];
/** Nobody takes back a reed that has been played. */
const isSentBack = ({ way }: Examination, { arrivedUsed }: TableSetting): boolean => way === 'quick' && !arrivedUsed;

/** The first of the looks that is to be given, or ends it; null once all are there. */
function lookMove(exam: Examination, state: TableState, setting: TableSetting): Move | null {
  for (const look of looksAsked(exam, setting.sort, state)) {
    if (state.answers[look] === undefined) {
      const again = exam.events.some((event) => event.what === 'look' && event.look === look);
      return { move: 'look', look, again };
    }
    const ends = endOfLook(look, state, exam);
    if (ends !== null) return end(isSentBack(exam, setting) && SENT_BACK.includes(ends) ? 'send-back' : ends);
  }
  return null;
}

/** What the crow leads to. */
function crowMove(exam: Examination, state: TableState, setting: TableSetting, nowMs: number): Move {
  const { crow } = state;
  if (crow === null) {
    const last = exam.events.findLast((event) => event.what === 'step' || event.what === 'crow');
    return { move: 'crow', after: last?.what === 'step' ? last.step : null };
  }
  const found = isAsItShould(setting.sort, crow.heard)
    ? ofPitch(pitchFrom(setting.sort) === null ? null : crow.cents, exam, state, setting)
    : ofWrongCrow(crow, state, setting);
  if (found === 'soak-again') return { move: 'soak', fromMs: state.soakFromMs, why: 'again' };
  if ('end' in found) return end(found.end);
  if (mayBeCracked(state, exam)) return end('maybe-cracked');
  const { step } = found;
  return stepFor(step, () => (step === 'clip' ? clipMove(exam, crow, state, setting) : trace(step)), {
    state,
    setting,
    nowMs,
  });
}

/**
 * What is next at the table: soak, the looks in their order, the crow, one small step at a time with what it changed looked
 * at and the crow heard again, or an end (practice book, reeds: order; double reeds in figures: finding → one step).
 * There always is one. Whoever is no grown-up gets looks, the crow and an end; no step.
 */
export function nextMove(exam: Examination, setting: TableSetting, nowMs: number): Move {
  const state = foldExamination(exam, setting.sort);
  // A crack ends it, wet or dry, and whatever came after.
  if (state.answers.light === 'crack') return end(isSentBack(exam, setting) ? 'send-back' : 'cracked');
  if (setting.hasEnded) return end('retired');
  const { soakFromMs, throughMs, wetMs, soaks } = state;
  if (throughMs === null) return { move: 'soak', fromMs: soakFromMs, why: soaks === 0 ? 'first' : 'again' };
  const move = lookMove(exam, state, setting) ?? afterLooks(exam, state, setting, nowMs);
  const isDry = wetMs !== null && nowMs - wetMs > DRY_AFTER.value * MS_PER_MINUTE;
  return isDry && move.move !== 'end' ? { move: 'soak', fromMs: soakFromMs, why: 'dry' } : move;
}

/** Blades that lie flush come before the crow: they hiss in it. */
function afterLooks(exam: Examination, state: TableState, setting: TableSetting, nowMs: number): Move {
  if (exam.way === 'quick') return quickEnd(state);
  if (state.answers.offset === 'flush') {
    if (mayBeCracked(state, exam)) return end('maybe-cracked');
    if (state.twists > 0) return end('still-flush');
    return stepFor('twist', () => trace('twist'), { state, setting, nowMs });
  }
  return crowMove(exam, state, setting, nowMs);
}
