import prand from 'pure-rand';
import type { Book } from '#core/book/book.ts';
import type { Deed, Verb } from '#core/book/deed.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import { linesOf, SAID_OF_A_STEP } from '#core/book/words.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import type { Handled, HandledStep } from '#core/handling/play-through.ts';
import { doneIn } from '#core/testing/answered-run.ts';
import { partsPlayed, planOf, type AnyRun } from '#core/testing/any-run.ts';
import { casesOf } from '#core/testing/cases.ts';

/** A run as it is printed, with whose it is. */
export type Printed = { readonly handled: readonly Handled[]; readonly steps: readonly HandledStep[] };

/** What somebody may get wrong who changes a word, a deed or an order and nothing else. */
export const MISREADING_SORTS = ['part', 'in-out', 'hold', 'count', 'order', 'reverse', 'condition'] as const;
export type MisreadingSort = (typeof MISREADING_SORTS)[number];
export type Misreading = {
  readonly sort: MisreadingSort;
  /** What was done, in words. */
  readonly what: string;
  readonly run: Printed;
};

/** The run of one made-up instrument. */
export function printedOf(book: Book, run: AnyRun): Printed {
  const handled = partsPlayed(book, run).map(({ instrumentId, practice, items }) => ({
    instrument: instrumentId,
    practice,
    items,
  }));
  const steps = doneIn(planOf(book, run)).map(({ instrumentId, step, answer }) => ({
    instrument: instrumentId,
    step,
    answer,
  }));
  return { handled, steps };
}

/** Before, after and everything of a few cases of each kind. */
export const manyPrinted = (book: Book, perKind: number): Printed[] =>
  KIND_IDS.flatMap((kind) =>
    casesOf(book, kind)
      .slice(0, perKind)
      .flatMap((instrument) =>
        (['before', 'after', 'all'] as const).map((due) => printedOf(book, { instruments: [instrument], due: [due] })),
      ),
  );

type Pick = <Item>(items: readonly Item[]) => Item | undefined;

/** A change of one step, with what it is; undefined where this step cannot be got wrong that way. */
type Spoil = (step: Step, pick: Pick, run: Printed) => { step: Step; what: string } | undefined;

const PART_WORDS = [
  'barrel',
  'bell',
  'bocal',
  'boot',
  'neck',
  'upper joint',
  'lower joint',
  'mouthpiece',
  'chanter',
  'reed',
  'wing',
  'mouthpipe',
];

type Told = 'heading' | 'how';
const told = (step: Step): Told[] => (step.how === undefined ? ['heading'] : ['heading', 'how']);

/** One word of what is told for another, wherever it can be. */
function swapped(
  step: Step,
  pick: Pick,
  pairs: readonly (readonly [RegExp, string])[],
): { step: Step; what: string } | undefined {
  const found = told(step).flatMap((place) =>
    pairs.flatMap(([from, to]) => {
      const text = step[place] ?? '';
      const now = text.replace(from, to);
      return now === text ? [] : [{ step: { ...step, [place]: now }, what: `“${text}” → “${now}”` }];
    }),
  );
  return pick(found);
}

const spoilPart: Spoil = (step, pick) => {
  const to = pick(PART_WORDS) ?? 'bell';
  const pairs = PART_WORDS.filter((from) => from !== to).map((from) => [new RegExp(`\\b${from}\\b`), to] as const);
  return swapped(step, pick, pairs);
};

const spoilWay: Spoil = (step, pick) => {
  const cloth = step.does.some((deed) => deed.do === 'draw' || deed.do === 'to-and-fro');
  const pairs: [RegExp, string][] = [
    [/^Put (.*?) (?:on|onto|in|into)\b/, 'Take $1 off'],
    [/^Take (.*?) off\b/, 'Put $1 on'],
    [/^Take (.*?) out\b/, 'Put $1 in'],
    [/^Part\b/, 'Join'],
    [/^Unscrew\b/, 'Screw it on:'],
    [/^Lock\b/, 'Unlock'],
    [/\bUnlock\b/, 'Lock'],
    ...(cloth
      ? ([
          [/\bthrough\b/, 'in and out the same way'],
          [/the way it went in/, 'at the other end, drawn right through'],
          [/\bin at the bell\b/, 'in at the neck'],
          [/\bin at the top\b/, 'in at the bell'],
          [/\bout at the barrel\b/, 'out at the bell'],
        ] as [RegExp, string][])
      : []),
  ];
  return swapped(step, pick, pairs);
};

const HANDS: readonly Verb[] = ['hold', 'hang', 'unhook', 'lay'];
const without = (step: Step, deed: Deed): Step => ({ ...step, does: step.does.filter((one) => one !== deed) });

const spoilHold: Spoil = (step, pick) => {
  const mine = step.does.filter((deed) => HANDS.includes(deed.do));
  const dropped = mine.map((deed) => ({ step: without(step, deed), what: `no longer does “${deed.do}”` }));
  const words = swapped(step, pick, [
    [/^Hold\b/, 'Let go of'],
    [/^Hook\b/, 'Unhook'],
    [/^Unhook\b/, 'Hook'],
    [/still carries/, 'no longer carries'],
    [/\bhold the\b/, 'let go of the'],
  ]);
  return pick([...dropped, ...(words === undefined ? [] : [words])]);
};

const spoilCount: Spoil = (step, pick) =>
  swapped(step, pick, [
    [/\b[Bb]oth (?=\w+s\b)/, 'three '],
    [/\b[Tt]wo(?= \w)/, 'four'],
    [/\bthree\b/, 'two'],
    [/\b(\d+)(?= (?:drops|s|minutes|mm|cm|buds))/, '7'],
    [/\b2–3 drops/, '5–6 drops'],
    [/\bonce through\b/, 'once through, twice'],
    [/\beach joint once\b/, 'each joint once, each joint twice'],
  ]);

const spoilReverse: Spoil = (step, pick) => {
  const turned = (deed: Deed): Deed | undefined => {
    if (deed.do === 'join') return { ...deed, do: 'part' };
    if (deed.do === 'part') return { ...deed, do: 'join' };
    const back: Partial<Record<Verb, Verb>> = {
      open: 'shut',
      shut: 'open',
      'lift-out': 'take',
      shield: 'unshield',
      unshield: 'shield',
      grease: 'wipe-off',
      rinse: 'dry',
      oil: 'wipe-off',
      brush: 'look',
      soak: 'lift-out',
      drain: 'rinse',
      stow: 'take',
      'hang-up': 'stow',
    };
    const verb = back[deed.do];
    return verb === undefined || !('thing' in deed) ? undefined : ({ do: verb, thing: deed.thing } as Deed);
  };
  return pick(
    step.does.flatMap((deed) => {
      const other = turned(deed);
      return other === undefined
        ? []
        : [
            {
              step: { ...step, does: step.does.map((one) => (one === deed ? other : one)) },
              what: `“${deed.do}” is now “${other.do}”`,
            },
          ];
    }),
  );
};

/** A line of the book that is not said here, said here. */
const spoilCondition =
  (book: Book): Spoil =>
  (step, pick, run) => {
    const practice: Practice | undefined = run.handled[0]?.practice;
    if (practice === undefined) return undefined;
    const rows = book.pagesOf[practice.kind.id].flatMap(({ page, says = {} }) => [
      ...page.steps.filter(({ id }) => id === step.id),
      ...Object.entries(says).flatMap(([id, words]) => (id === step.id && words !== undefined ? [words] : [])),
    ]);
    const adds = Object.values(book.methods).flatMap(({ choices }) =>
      Object.values(choices).flatMap(({ says = {} }) =>
        [says[step.id] ?? []].flat().flatMap(({ adds: text }) => (text === undefined ? [] : [text])),
      ),
    );
    const now = JSON.stringify([step.how, step.why, step.harm, step.cautions, step.supplies]);
    const lines = [...rows, ...adds].flatMap((row) =>
      SAID_OF_A_STEP.flatMap((place) =>
        linesOf(row[place]).flatMap((line) =>
          (row !== rows[0] || line.when !== undefined || line.of !== undefined) && !now.includes(line.say)
            ? [{ place, say: line.say }]
            : [],
        ),
      ),
    );
    return pick(
      lines.map(({ place, say }) => ({
        step: {
          ...step,
          ...(place === 'cautions' || place === 'supplies'
            ? { [place]: [...(step[place] ?? []), say] }
            : { [place]: place === 'harm' ? say : [step[place], say].filter(Boolean).join(' ') }),
        },
        what: `says “${say}” as well`,
      })),
    );
  };

/** Words that say when a step's turn is, or what must have been done by then. */
const TURNS =
  /\bdo it last\b|\bfirst$|\bagain\b|still|by now|stays on|comes last|capped|over the reed|joint is closed|without the reed/i;

/** A step moved before what it comes after, or out of the turn its words say; or such a word turned round. */
function spoilOrder(run: Printed, pick: Pick): { run: Printed; what: string } | undefined {
  const { steps } = run;
  const moves = steps.flatMap(({ step }, at) => {
    const before = steps.findIndex((one) => step.after.includes(one.step.id));
    const says = TURNS.test(`${step.how ?? ''} ${step.heading}`);
    return [...(before >= 0 && before < at ? [{ at, to: before }] : []), ...(says ? [{ at, to: null }] : [])];
  });
  const move = pick(moves);
  const one = move && steps[move.at];
  if (move === undefined || one === undefined) return undefined;
  const how = one.step.how ?? '';
  if (move.to === null) {
    const now = how.replace(/\blast\b/, 'first');
    if (now === how) return undefined;
    return {
      run: { ...run, steps: steps.with(move.at, { ...one, step: { ...one.step, how: now } }) },
      what: `${one.step.id}: “last” is now “first”`,
    };
  }
  return {
    run: { ...run, steps: steps.toSpliced(move.at, 1).toSpliced(move.to, 0, one) },
    what: `${one.step.id} moved before ${steps[move.to]?.step.id}`,
  };
}

/**
 * Printed runs that somebody has spoilt, each by one change, so many of each sort; the same seed, the same faults.
 */
export function misreadings(book: Book, printed: readonly Printed[], each: number, seed: number): Misreading[] {
  let random = prand.xoroshiro128plus(seed);
  const pick: Pick = (items) => {
    if (items.length === 0) return undefined;
    const [at, next] = prand.uniformIntDistribution(0, items.length - 1, random);
    random = next;
    return items[at];
  };
  const spoils: Record<Exclude<MisreadingSort, 'order'>, Spoil> = {
    part: spoilPart,
    'in-out': spoilWay,
    hold: spoilHold,
    count: spoilCount,
    reverse: spoilReverse,
    condition: spoilCondition(book),
  };
  const made: Misreading[] = [];
  for (const sort of MISREADING_SORTS) {
    const seen = new Set<string>();
    for (let tries = 0; seen.size < each && tries < 20_000; tries++) {
      const run = pick(printed);
      if (run === undefined) break;
      const spoilt = sort === 'order' ? spoilOrder(run, pick) : spoilStep(spoils[sort], run, pick);
      if (spoilt === undefined || seen.has(spoilt.what)) continue;
      seen.add(spoilt.what);
      made.push({ sort, ...spoilt });
    }
  }
  return made;
}

function spoilStep(spoil: Spoil, run: Printed, pick: Pick): { run: Printed; what: string } | undefined {
  const one = pick(run.steps);
  const spoilt = one === undefined ? undefined : spoil(one.step, pick, run);
  if (one === undefined || spoilt === undefined) return undefined;
  return {
    what: `${one.step.id}: ${spoilt.what}`,
    run: { ...run, steps: run.steps.map((step) => (step === one ? { ...one, step: spoilt.step } : step)) },
  };
}
