import type { Alone, Piece } from '#core/book/anatomy.ts';
import { LOOSE_THINGS, type Thing } from '#core/book/deed.ts';
import { thingsOfDeed } from '#core/book/deed-things.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import { buildMeets } from '#core/instruments/build.ts';
import type { InstrumentKind, PartId } from '#core/instruments/kind.ts';
import { waterOfParts } from '#core/water/water-of-parts.ts';

/** What of an instrument may be played by itself, as it is built. */
export const aloneIn = ({ anatomy, build }: Pick<Practice, 'anatomy' | 'build'>): readonly Alone[] =>
  (anatomy.alone ?? []).filter(({ when }) => buildMeets(build, when));

/** Parts by this name; undefined where the instrument has none, or is played whole. */
export const aloneNamed = (practice: Pick<Practice, 'anatomy' | 'build'>, id: AloneId | null): Alone | undefined =>
  aloneIn(practice).find((one) => one.id === id);

/** Does care of this part concern somebody who plays these parts alone? */
export const concernsAlone = ({ pieces, along }: Alone, part: PartId): boolean =>
  along.includes(part) || pieces.some((piece) => piece === part);

/** Is it said to be done with these parts as well, whatever a way of the whole leaves out? */
const isAlso = ({ id }: Alone, { alone }: Step): boolean =>
  typeof alone === 'object' && 'also' in alone && alone.also.includes(id);

/** Is nothing touched in it but what is played, and what goes along with it? */
function isWithin(practice: Practice, alone: Alone, left: ReadonlySet<Thing>, step: Step): boolean {
  const { part, does, alone: said } = step;
  if (said === 'never') return false;
  if (said !== undefined) return 'only' in said ? said.only.includes(alone.id) : said.also.includes(alone.id);
  // Hands are washed, whatever is played.
  if (does.length === 0) return true;
  const things = does.flatMap((deed) => thingsOfDeed(practice, deed));
  return concernsAlone(alone, part) && !things.some((thing) => left.has(thing));
}

/** The kind as it is while these parts are played: no water goes further than they do. */
function kindAlone(kind: InstrumentKind, { pieces }: Alone): InstrumentKind {
  const isIn = (part: PartId) => pieces.some((piece) => piece === part);
  const parts = new Set(kind.tube.map(({ id }) => id).filter(isIn));
  return {
    ...kind,
    tube: kind.tube.map((part) => (parts.has(part.id) ? part : { ...part, waterShare: 0 })),
    water: waterOfParts(kind.water, kind.tube, parts),
  };
}

const made = new WeakMap<Practice, Map<AloneId, Practice>>();

/**
 * The practice of somebody who plays only these parts: the steps that touch nothing else, those that are done only then,
 * and of what comes apart what has come out of the case. What stays in the case is not known to it. The same parts share
 * one object, so treat it as read-only.
 */
export function practiceAlone(practice: Practice, alone: Alone): Practice {
  const known = made.get(practice)?.get(alone.id);
  if (known) return known;
  const couplings = practice.anatomy.couplings;
  const isIn = (piece: Piece) => alone.pieces.includes(piece);
  const pieces = [...couplings.flatMap(({ of }) => of), ...LOOSE_THINGS];
  const left = new Set<Thing>(pieces.filter((piece) => !isIn(piece) && piece !== 'reeds'));
  const chosen = new Map<string, string>([...practice.chosen, ...Object.entries(alone.by ?? {})]);
  const done = new Set(practice.steps);
  const leftOut = new Set(practice.chain.filter((step) => !done.has(step)));
  const chain = practice.book.filter(
    ({ method }) => method === undefined || method.choices.includes(chosen.get(method.id) ?? ''),
  );
  const { hangsPlayed, bores = [], pulled = [], openPlayed: _open, rotors: _rotors, ...anatomy } = practice.anatomy;
  const under: Practice = {
    ...practice,
    kind: kindAlone(practice.kind, alone),
    anatomy: {
      ...anatomy,
      couplings: couplings.filter(({ of }) => of.every(isIn)),
      bores: bores.filter(isIn),
      pulled: pulled.filter(isIn),
      ...(hangsPlayed !== undefined && isIn(hangsPlayed) ? { hangsPlayed } : {}),
    },
    chosen,
    chain,
    steps: chain.filter((step) => (isAlso(alone, step) || !leftOut.has(step)) && isWithin(practice, alone, left, step)),
  };
  const mine = made.get(practice) ?? new Map<AloneId, Practice>();
  made.set(practice, mine.set(alone.id, under));
  return under;
}
