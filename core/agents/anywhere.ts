import type { Agent, Material, SurfaceId, Verdict, VerdictRow } from '#core/book/agent.ts';
import type { Book } from '#core/book/book.ts';
import type { Mark } from '#core/explain/explained.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';

/** Everything a surface is made of on some instrument. */
function materialsOf({ surfaces, surfacesOf, kinds }: Book, id: SurfaceId): readonly Material[] {
  const { material } = surfaces[id];
  if (typeof material === 'string') return [material];
  const { field, otherwise } = material;
  const having = KIND_IDS.filter((kind) =>
    surfacesOf[kind].some((one) => (typeof one === 'string' ? one : one.id) === id),
  );
  return having.flatMap((kind) => {
    const asked = kinds[kind].fields.find((one) => one.field === field);
    if (asked) return asked.options.map((option) => option.id as Material);
    return otherwise === undefined ? [] : [otherwise];
  });
}

export type SaidAnywhere = {
  readonly on: SurfaceId;
  readonly name: string;
  /** Of what material and on which instruments; null where it does not matter. */
  readonly of: string | null;
  readonly verdict: Verdict;
  readonly why: string;
  readonly mark: Mark;
};

/** Is a line about a surface whatever it is made of, on whatever instrument? */
const isPlain = ({ of, among, when, lacks }: VerdictRow): boolean =>
  of === undefined && among === undefined && when === undefined && lacks === undefined;

/** Of what a line is meant on a surface; null where it is about nothing that surface is ever made of. */
function meantOn(book: Book, { on, of }: VerdictRow, surface: SurfaceId): readonly Material[] | null {
  if (!on.includes(surface)) return null;
  if (of === undefined) return [];
  const made = [...new Set(materialsOf(book, surface))].filter((material) => of.includes(material));
  return made.length === 0 ? null : made;
}

/** How the instruments a line is confined to are built. */
const builtWords = ({ when = {} }: VerdictRow): string[] =>
  Object.entries(when).map(([field, options]) => `with ${options.join(' or ')} ${field}`);

/** What the book says of an agent wherever it may be: every surface it names, of whatever that can be made of. */
export function mayIUseAnywhere(book: Book, { rows }: Agent): SaidAnywhere[] {
  return rows.flatMap((row, index) =>
    row.on.flatMap((surface): SaidAnywhere[] => {
      const made = meantOn(book, row, surface);
      const before = rows.slice(0, index).filter((one) => meantOn(book, one, surface) !== null);
      if (made === null || before.some(isPlain)) return [];
      const isRest = isPlain(row) && before.length > 0;
      const lacks = row.lacks === undefined ? [] : `without ${book.surfaces[row.lacks].name.toLowerCase()}`;
      const materials = [made, row.among?.words ?? [], lacks, builtWords(row), isRest ? 'anything else' : []]
        .flat()
        .join(', ');
      const { verdict, why, mark = 'practice' } = row;
      return [{ on: surface, name: book.surfaces[surface].name, of: materials || null, verdict, why, mark }];
    }),
  );
}
