import type { Book } from '#core/book/book.ts';
import type { Measure, MeasureHands, MeasurePageUse, MeasureWay, Place, PlaceId, WayId } from '#core/book/measure.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import { boreStrip, partName } from '#core/instruments/bore-strip.ts';
import type { InstrumentKind, KindId } from '#core/instruments/kind.ts';
import type { Standing } from '#core/players/player.ts';

/** A measure as one instrument has it: at the places it has. */
export type MeasureHere = Omit<Measure, 'places'> & { readonly places: readonly Place[] | null };

/** The joints of this kind that hold by a tenon, each named by the two parts it holds together. */
function tenonsOf(kind: InstrumentKind, build: Build): Place[] {
  const parts = boreStrip(kind, build, 0);
  const joints = kind.tube.filter(
    ({ joint, fixedWhen }) => joint === 'tenon' && !buildMeets(build, fixedWhen ?? NEVER),
  );
  return joints.flatMap(({ id }) => {
    const at = parts.findIndex((one) => one.id === id);
    const next = parts[at + 1];
    return at < 0 || next === undefined
      ? []
      : [{ id, name: `${partName(kind, id).toLowerCase()} and ${next.name.toLowerCase()}` }];
  });
}
/** A condition no build meets: of what is never one piece. */
const NEVER: Parameters<typeof buildMeets>[1] = { body: [] };

function placesOf(
  measure: Measure,
  use: MeasurePageUse,
  { kind, build, names }: { kind: InstrumentKind; build: Build; names: Readonly<Partial<Record<PlaceId, string>>> },
): Place[] | null {
  if (measure.places === undefined) return null;
  const tenons = measure.places === 'tenons' ? tenonsOf(kind, build) : [];
  const ids = use.places?.[measure.id] ?? (measure.places === 'tenons' ? tenons.map(({ id }) => id) : measure.places);
  return ids.map((id) => ({
    id,
    name: tenons.find((one) => one.id === id)?.name ?? names[id] ?? partName(kind, id).toLowerCase(),
  }));
}

const worked = new WeakMap<Book, Map<string, readonly MeasureHere[]>>();

/** Everything a number can be put to on this kind in this build, in the book's order. */
export function measuresFor(book: Book, kind: KindId, build: Build): readonly MeasureHere[] {
  const kept = worked.get(book) ?? new Map<string, readonly MeasureHere[]>();
  worked.set(book, kept);
  const name = `${kind} ${JSON.stringify(Object.entries(build).sort())}`;
  const known = kept.get(name) ?? workedOut(book, kind, build);
  kept.set(name, known);
  return known;
}

function workedOut(book: Book, kind: KindId, build: Build): readonly MeasureHere[] {
  const uses: readonly MeasurePageUse[] = book.measures.pagesOf[kind];
  const setting = { kind: book.kinds[kind], build, names: book.measures.placeNames };
  return uses
    .filter(({ when }) => buildMeets(build, when))
    .flatMap((use) =>
      use.page.measures
        .filter(({ id, when }) => buildMeets(build, when) && use.without?.includes(id) !== true)
        .map((measure) => ({ ...measure, places: placesOf(measure, use, setting) })),
    );
}

/** A measure by its id, whatever the kind: histories name what their instrument no longer has. */
export function bookMeasure({ measures }: Book, id: string): Measure | undefined {
  for (const uses of Object.values<readonly MeasurePageUse[]>(measures.pagesOf))
    for (const { page } of uses) {
      const found = page.measures.find((one) => one.id === id);
      if (found) return found;
    }
  return undefined;
}

export const wayOf = ({ ways }: Pick<Measure, 'ways'>, id: WayId): MeasureWay | undefined =>
  ways.find((one) => one.id === id);

/** Who took a reading. */
export const TAKEN_BY = ['player', 'teacher', 'bench'] as const;
export type TakenBy = (typeof TAKEN_BY)[number];

const MAY_TAKE: Readonly<Record<MeasureHands, readonly TakenBy[]>> = {
  player: ['player', 'teacher', 'bench'],
  'not-alone': ['player', 'teacher', 'bench'],
  bench: ['bench'],
};

/**
 * May this reading be taken so by this hand? What only the bench reads is read by nobody else; a child or a pupil takes
 * nothing with a tool, and nothing that wants somebody beside them, by themselves.
 */
export function mayTake(
  { hands = 'player' }: Pick<Measure, 'hands'>,
  { tool }: Pick<MeasureWay, 'tool'>,
  by: TakenBy,
  standing: Standing,
): boolean {
  if (!MAY_TAKE[hands].includes(by)) return false;
  return by !== 'player' || standing === 'grown-up' || (hands === 'player' && tool === undefined);
}
