import type { Book } from '#core/book/book.ts';
import type {
  Cause,
  CauseId,
  FaultFigures,
  FaultPageUse,
  FaultSign,
  LinkWord,
  MishapStop,
  Remedy,
  SeenTogether,
  SignId,
  StopRule,
} from '#core/book/fault.ts';
import type { MethodChoice } from '#core/book/method.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { InstrumentKind, KindId, PartId, PartRole } from '#core/instruments/kind.ts';
import { entriesOf } from '#core/kernel/typed.ts';

/** How often a cause shows a sign. */
export type Link = { readonly sign: SignId; readonly word: LinkWord };
/** A cause as this instrument can have it. */
export type CauseHere = Cause & { readonly links: readonly Link[] };

/** Signs of this instrument that are asked about as one question: two of them at the least. */
export type TogetherHere = Omit<SeenTogether, 'signs'> & {
  readonly signs: readonly FaultSign[];
  /** Any of them can be so; of what one look shows, one is named at the most. */
  readonly several: boolean;
};

/** What can go wrong with one instrument as it is built. */
export type FaultsHere = {
  readonly kind: KindId;
  readonly figures: FaultFigures;
  readonly signs: readonly FaultSign[];
  readonly together: readonly TogetherHere[];
  /** Everything that is noticed by playing and putting together, but what stops the instrument: that is asked by itself. */
  readonly whatElse: TogetherHere;
  readonly causes: readonly CauseHere[];
  readonly stops: readonly StopRule[];
  readonly mishapStops: readonly MishapStop[];
};

const isHere =
  (build: Build) =>
  ({ when }: { readonly when?: FaultSign['when'] }): boolean =>
    buildMeets(build, when);

const linksOf = (cause: Cause, known: ReadonlySet<SignId>): Link[] =>
  entriesOf<LinkWord, readonly SignId[]>(cause.shows).flatMap(([word, signs]) =>
    signs.filter((sign) => known.has(sign)).map((sign) => ({ sign, word })),
  );

const worked = new WeakMap<Book, Map<string, FaultsHere>>();

/**
 * The signs, causes and stops this kind can have in this build: a sign that no cause of it shows and no rule asks about
 * is not offered, a cause none of whose signs it has is none.
 */
export function faultsFor(book: Book, kind: KindId, build: Build): FaultsHere {
  const kept = worked.get(book) ?? new Map<string, FaultsHere>();
  worked.set(book, kept);
  const name = `${kind} ${JSON.stringify(Object.entries(build).sort())}`;
  const known = kept.get(name) ?? workedOut(book, kind, build);
  kept.set(name, known);
  return known;
}

function workedOut({ faults }: Book, kind: KindId, build: Build): FaultsHere {
  const uses: readonly FaultPageUse[] = faults.pagesOf[kind];
  const pages = uses.filter(isHere(build)).map(({ page }) => page);
  const signs = pages.flatMap((page) => page.signs).filter(isHere(build));
  const byId = new Set(signs.map(({ id }) => id));
  const causes = pages
    .flatMap((page) => page.causes)
    .filter(isHere(build))
    .filter(({ without }) => without?.includes(kind) !== true)
    .map((cause) => ({ ...cause, links: linksOf(cause, byId) }))
    .filter(({ links }) => links.length > 0);
  const shown = new Set(causes.flatMap(({ links }) => links.map(({ sign }) => sign)));
  const stops = pages.flatMap((page) => page.stops).filter((stop) => isHere(build)(stop) && byId.has(stop.sign));
  const asked = new Set(stops.map(({ sign }) => sign));
  const here = signs.filter(({ id }) => shown.has(id) || asked.has(id));
  return {
    kind,
    figures: faults.figures,
    signs: here,
    together: faults.together
      .map((look) => ({
        ...look,
        signs: look.signs.flatMap((id) => here.find((sign) => sign.id === id) ?? []),
        several: false,
      }))
      .filter((look) => look.signs.length > 1),
    whatElse: {
      ...faults.whatElse,
      signs: here.filter(({ id, sort }) => sort === 'complaint' && !asked.has(id)),
      several: true,
    },
    causes,
    stops,
    mishapStops: pages.flatMap((page) => page.mishapStops).filter(isHere(build)),
  };
}

/** The same with remedies as somebody has chosen them: who does it, and how. */
export function withRemedies(here: FaultsHere, chosen: readonly MethodChoice['remedies'][]): FaultsHere {
  const others = new Map(chosen.flatMap((one) => entriesOf<CauseId, Partial<Remedy>>(one ?? {})));
  if (others.size === 0) return here;
  const causes = here.causes.map((cause) => {
    const other = others.get(cause.id);
    return other ? { ...cause, remedy: { ...cause.remedy, ...other } } : cause;
  });
  return { ...here, causes };
}

export const signHere = ({ signs }: FaultsHere, id: string): FaultSign | undefined =>
  signs.find((one) => one.id === id);
/** Are these different signs that one look shows? */
export const isOneLook = ({ together }: FaultsHere, signs: readonly SignId[]): boolean =>
  together.some((look) => isOf(look, signs));
/** Are these different signs of what else can be noticed? */
export const isOfWhatElse = ({ whatElse }: FaultsHere, signs: readonly SignId[]): boolean => isOf(whatElse, signs);
const isOf = (asked: TogetherHere, signs: readonly SignId[]): boolean =>
  new Set(signs).size === signs.length && signs.every((id) => asked.signs.some((sign) => sign.id === id));
export const causeHere = ({ causes }: FaultsHere, id: string | null): CauseHere | undefined =>
  causes.find((one) => one.id === id);

/** Every sign and cause of the book by its id, whatever the kind: histories name what their instrument no longer has. */
export function bookSign({ faults }: Book, id: SignId): FaultSign | undefined {
  for (const uses of Object.values<readonly FaultPageUse[]>(faults.pagesOf))
    for (const { page } of uses) {
      const found = page.signs.find((one) => one.id === id);
      if (found) return found;
    }
  return undefined;
}
export function bookCause({ faults }: Book, id: CauseId): Cause | undefined {
  for (const uses of Object.values<readonly FaultPageUse[]>(faults.pagesOf))
    for (const { page } of uses) {
      const found = page.causes.find((one) => one.id === id);
      if (found) return found;
    }
  return undefined;
}

/** Where a kind has no part of this name, the part that holds it: the rotors of a tuba are in its valve block. */
const HELD_IN: Readonly<Partial<Record<string, PartId>>> = { rotors: 'valve-block' };

/** The part of this kind that a sign or cause is about, where it has it. */
export function partHere(kind: InstrumentKind, part: PartId | PartRole | undefined): PartId | null {
  if (part === undefined) return null;
  const roles: Readonly<Partial<Record<string, PartId>>> = kind.standsFor;
  const id = roles[part] ?? part;
  const parts = [...kind.tube, ...kind.loose];
  return (parts.find((one) => one.id === id) ?? parts.find((one) => one.id === HELD_IN[id]))?.id ?? null;
}
