import type { Agent, Material, SurfaceId, Verdict, VerdictRow } from '#core/book/agent.ts';
import type { Book } from '#core/book/book.ts';
import type { Mark } from '#core/explain/explained.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import { chosenMethod, isAsked } from '#core/methods/chosen-method.ts';
import type { MethodContext, MethodSetting } from '#core/book/method-setting.ts';
import type { KindId } from '#core/instruments/kind.ts';

type Surfaces = Pick<Book, 'surfaces' | 'surfacesOf'>;

/** A surface of one instrument with what it is made of; null where the build does not say. */
export type SurfaceHere = {
  readonly kind: KindId;
  readonly id: SurfaceId;
  readonly name: string;
  readonly material: Material | null;
  readonly build: Build;
  /** Every surface of the instrument: where no pads are, no water runs into them. */
  readonly beside: readonly SurfaceId[];
};

/** The surfaces of one instrument as it is built, from the mouth on. */
export function surfacesOf(book: Surfaces, kind: KindId, build: Build): SurfaceHere[] {
  const uses = book.surfacesOf[kind].map((one) => (typeof one === 'string' ? { id: one, when: undefined } : one));
  const here = uses.filter(({ when }) => buildMeets(build, when));
  const beside = here.map(({ id }) => id);
  return here.map(({ id, when: _when, ...own }): SurfaceHere => {
    const { name, material } = { ...book.surfaces[id], ...own };
    if (typeof material === 'string') return { kind, id, name, material, build, beside };
    const given = build[material.field] as Material | undefined;
    return { kind, id, name, material: given ?? material.otherwise ?? null, build, beside };
  });
}

export type Judged = {
  readonly surface: SurfaceHere;
  readonly verdict: Verdict;
  readonly why: string;
  readonly mark: Mark;
};

const NOT_KNOWN = 'Not known. Ask the maker or the bench.';

/** Is a line of the book about this surface, of what it is made and on which kind it is? */
export const isAbout = (
  { on, of, among, when, lacks }: VerdictRow,
  { id, material, kind, build, beside }: SurfaceHere,
): boolean =>
  on.includes(id) &&
  buildMeets(build, when) &&
  (lacks === undefined || !beside.includes(lacks)) &&
  (of === undefined || (material !== null && of.includes(material))) &&
  (among === undefined || among.kinds.includes(kind));

/**
 * Where practice differs, the question decides as it is answered on this instrument; where it is not asked there, it
 * stays undone.
 */
function byMethod(row: VerdictRow, surface: SurfaceHere, methods: MethodSetting): Judged | null {
  const { byMethod: differs, why } = row;
  const { book, kind, build } = methods.context;
  if (differs === undefined) return null;
  if (!isAsked(book, differs.method, kind, build)) return { surface, verdict: 'no', why, mark: row.mark ?? 'practice' };
  const chosen = chosenMethod(differs.method, methods.choices, methods.context);
  const answer = `${chosen.question} ${chosen.byPlayer ? 'Your choice' : 'By default'}: “${chosen.words}”`;
  return differs.allowedBy.includes(chosen.choice)
    ? { surface, verdict: 'care', why: `${differs.then} ${answer}.`, mark: chosen.mark }
    : { surface, verdict: 'no', why: `${why} ${answer}.`, mark: chosen.mark };
}

/**
 * May this agent touch this surface? What the book does not say is not known, never guessed. Where practice differs,
 * the methods of the instrument decide; without them, and where no question is asked of it, it stays "by method".
 */
export function judge(agent: Agent, surface: SurfaceHere, methods?: MethodSetting): Judged {
  const row = agent.rows.find((one) => isAbout(one, surface));
  const decided = row && methods ? byMethod(row, surface, methods) : null;
  if (decided) return decided;
  return row
    ? { surface, verdict: row.verdict, why: row.why, mark: row.mark ?? 'practice' }
    : { surface, verdict: 'not-known', why: NOT_KNOWN, mark: 'practice' };
}

/** The verdict for every part of an instrument, from the mouth on. */
export const mayIUse = (
  agent: Agent,
  { book, kind, build }: Pick<MethodContext, 'kind' | 'build'> & { readonly book: Surfaces },
  methods?: MethodSetting,
): Judged[] => surfacesOf(book, kind, build).map((surface) => judge(agent, surface, methods));
