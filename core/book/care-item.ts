import type { NamedSign, SignId } from '#core/book/fault.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { Mark, Marked } from '#core/explain/explained.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { Skill } from '#core/players/player.ts';
import type { MethodId } from '#core/book/method-ids.ts';

/** A clock's limbs: whichever runs out first makes the item due. Each limb is optional, at least one is there. */
export type Limbs = {
  readonly days?: Marked;
  /** Calendar months: from 14 February three months end on 14 May, from 31 January one on the last of February. */
  readonly months?: Marked;
  readonly minutes?: Marked;
  readonly plays?: Marked;
};

/** What makes an item due. */
export type Trigger =
  | { readonly kind: 'every-play'; readonly moment: 'before' | 'after' }
  | { readonly kind: 'clock'; readonly limbs: Limbs; readonly words: string }
  | {
      readonly kind: 'clock-by-method';
      readonly method: MethodId;
      readonly limbs: Readonly<Record<string, Limbs | 'off' | 'when-seen'>>;
      /** For the choice `when-seen`. */
      readonly signs?: readonly NamedSign[];
      readonly seenOn?: SeenOn;
    }
  /** Signs of the one list there is: what is noticed in care is what an interview begins with. */
  | { readonly kind: 'when-noticed'; readonly signs: readonly NamedSign[]; readonly seenOn: SeenOn }
  /** Nobody has to notice it: the record says it. */
  | { readonly kind: 'when-so'; readonly words: string }
  /**
   * A remedy done where it is played, the moment something is wrong with it, and together as it is played: nobody plans it,
   * and packing up ends what it is for.
   */
  | { readonly kind: 'on-the-spot' }
  /** No clock of its own: a condition calls for it while it lasts (a new cork, an illness). */
  | { readonly kind: 'while'; readonly condition: ConditionId; readonly words: string };

/** Where a sign can be seen: only on the item's own part (lime in the mouthpiece), or on any part (a stiff joint). */
export type SeenOn = 'its-part' | 'any-part';

/**
 * What neglect costs, for ranking (estimates): a person's health, damage that cannot be undone, function, looks.
 * Engine weights 3, 3, 2, 1.
 */
export type Severity = 'person' | 'lasting' | 'function' | 'looks';
export const SEVERITY_WEIGHT: Readonly<Record<Severity, Marked>> = {
  person: { value: 3, mark: 'estimate' },
  lasting: { value: 3, mark: 'estimate' },
  function: { value: 2, mark: 'estimate' },
  looks: { value: 1, mark: 'estimate' },
};

/** One thing to be looked after, with its clock; the steps that do it point back at it. */
export type CareItem = {
  readonly id: CareItemId;
  readonly name: string;
  readonly part: PartId;
  readonly trigger: Trigger;
  readonly severity: Severity;
  /** Why it is done, in the trade's words. */
  readonly why: string;
  readonly mark: Mark;
  readonly when?: BuildCondition;
  /** Bench items are logged when they come back; they are never a step at home. */
  readonly place?: 'bench';
  /** Done by a player only if they have said they do it themselves. */
  readonly skill?: Skill;
  /** Days before an audience in which it is not done any more: everything is greased and oiled anew after it. */
  readonly settles?: Marked;
  /** Short enough to be done while packing up when it is due. */
  readonly withPackUp?: true;
  /**
   * Playing makes it dirty or loose, and nothing else does: what has not been played since it was done is as it was, and
   * its days count from the next play.
   */
  readonly wornBy?: 'playing';
  /**
   * Done before the first note of an instrument that is new to its player or has rested long: in any case, or unless it has
   * been done lately.
   */
  readonly firstNote?: 'always' | 'unless-fresh';
  /** Items whose steps come along when this one is done (the thorough clean holds several). */
  readonly includes?: readonly CareItemId[];
  /** An item that, noticed and not yet put right, keeps this one waiting for the bench (a stuck slide, the bath). */
  readonly blockedBy?: CareItemId;
};

/** Is it done where it is played, by itself, and never planned? */
export const isOnTheSpot = ({ trigger }: Pick<CareItem, 'trigger'>): boolean => trigger.kind === 'on-the-spot';

/** The signs an item is called for by; none where nobody can notice it. */
export const signsOf = ({ trigger }: Pick<CareItem, 'trigger'>): readonly NamedSign[] =>
  trigger.kind === 'when-noticed' || trigger.kind === 'clock-by-method' ? (trigger.signs ?? []) : [];

/** Is it called for by this sign? */
export const isCalledBy = (item: Pick<CareItem, 'trigger'>, sign: SignId): boolean =>
  signsOf(item).some(({ id }) => id === sign);

/** All signs of an item inside a sentence, with commas and an "or"; undefined where nothing calls for it. */
export function signOf(item: Pick<CareItem, 'trigger'>): string | undefined {
  const { trigger } = item;
  if (trigger.kind === 'when-so') return trigger.words;
  const names = [...new Set(signsOf(item).map(({ named }) => named))];
  const last = names.pop();
  return names.length === 0 ? last : `${names.join(', ')}, or ${last}`;
}
