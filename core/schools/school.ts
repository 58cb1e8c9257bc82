import type { CareItemId, StepId } from '#core/care/care-item.ts';
import type { ConditionId } from '#core/conditions/condition.ts';
import type { Mark, Marked } from '#core/explain/explained.ts';
import type { Build, BuildCondition } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';

/**
 * Points on which good practitioners differ. Ids are stable: never renamed or reused. What the book lets follow another
 * choice (the count, the taking apart and the mouthpiece's way out follow the clarinet's swab path; wiping follows the
 * method of oiling valves) is no question of its own.
 */
export const SCHOOL_IDS = [
  'clarinet-join-order',
  'reed-or-ligature-first',
  'reed-tip-level',
  'ligature-height',
  'leaving-the-chair',
  'sax-reed-on',
  'sax-strap',
  'sax-neck-line',
  'sax-mouthpiece-depth',
  'oboe-join-order',
  'bassoon-join-order',
  'flute-join-order',
  'flute-head-line',
  'wetting-single-reeds',
  'wetting-double-reeds',
  'clarinet-swab-path',
  'sax-swab-path',
  'sax-drying-order',
  'sax-swab-direction',
  'sax-body-swab',
  'sax-mouthpiece-swab',
  'sax-mouthpiece-stowed',
  'sax-neck-storage',
  'swab-cloth',
  'fluffy-stick',
  'reed-after-playing',
  'bocal-cleaning',
  'pads-after-playing',
  'paper-use-wet',
  'paper-use-sticky',
  'sticky-pad',
  'hide-bag',
  'pipes-brush-or-swab',
  'pipes-valve-rinse',
  'mouthpiece-wash-interval',
  'mouthpiece-wash-with',
  'mouthpiece-wash-tool',
  'mouthpiece-soak',
  'cork-in-the-wash',
  'mouthpiece-alcohol',
  'reed-hygiene',
  'swab-wash',
  'tenon-grease',
  'new-cork-grease',
  'neck-tenon-cleaning',
  'sax-outside',
  'alcohol-on-keys',
  'alcohol-on-plastic-body',
  'key-oil',
  'bore-oil-interval',
  'bore-oil-passes',
  'bamboo-oil',
  'ill-cleaning',
  'service-interval',
  'valve-oil-method',
  'piston-turning',
  'slide-grease-where',
  'mouthpipe-brushing',
  'brass-bath-interval',
  'bath-temperature',
  'horn-monthly-order',
  'rotors-and-water',
  'brass-mouthpiece-wash',
] as const;
export type SchoolId = (typeof SCHOOL_IDS)[number];
export const isSchoolId = (text: string): text is SchoolId => (SCHOOL_IDS as readonly string[]).includes(text);

/** The moments a question belongs to: the headings it stands under. */
export const SCHOOL_MOMENTS = ['Putting together', 'After playing', 'Cleaning', 'Oil, grease and bench'] as const;
export type SchoolMoment = (typeof SCHOOL_MOMENTS)[number];

/** What a default may depend on. Every condition named must hold. */
export type SchoolCase = {
  readonly kinds?: readonly KindId[];
  readonly build?: BuildCondition;
  /** The instrument came new, fewer than this many days ago. */
  readonly newerThanDays?: number;
  /** The player's forecast week is above this many minutes. */
  readonly weeklyMinutesAbove?: number;
  /** One of these is in force today. */
  readonly conditions?: readonly ConditionId[];
};

/** A rule for the default: the first case that holds, else `otherwise`. */
export type SchoolDefault = {
  readonly cases: readonly {
    readonly of: SchoolCase;
    readonly choice: string;
    readonly why: string;
    readonly mark: Mark;
  }[];
  readonly otherwise: string;
  readonly why: string;
};

/** How a step is said under a choice: another action, or something added to how it is done. */
export type StepWords = { readonly action?: string; readonly how?: string };

/** One way of doing it, with everything it changes besides the steps and intervals that name it themselves. */
export type SchoolChoice = {
  readonly words: string;
  readonly mark: Mark;
  /** Offered only on such builds. */
  readonly when?: BuildCondition;
  /** Not together with these choices of another question. */
  readonly notWith?: { readonly school: SchoolId; readonly choices: readonly string[]; readonly why: string };
  /** Pairs of steps, the first before the second wherever both are in a run. */
  readonly order?: readonly (readonly [StepId, StepId])[];
  readonly says?: { readonly [Id in StepId]?: StepWords };
  /** Steps this way does not have. */
  readonly without?: readonly StepId[];
  /** Care this way does not do at all. */
  readonly off?: readonly CareItemId[];
  /** Thirst of the cloth beside silk: it multiplies what a pass takes (on the logarithm). */
  readonly thirst?: Marked;
  /** What it costs or risks, in the trade's words. */
  readonly cost?: string;
  /** How it is done, where no step of a run says it. */
  readonly advice?: string;
};

export type School = {
  readonly question: string;
  readonly moment: SchoolMoment;
  /** The instruments it is asked about: any of these. */
  readonly askedOf: readonly { readonly kinds: readonly KindId[]; readonly build?: BuildCondition }[];
  readonly choices: Readonly<Record<string, SchoolChoice>>;
  readonly usual: SchoolDefault;
};

/** What a player has chosen; what is missing follows the default. */
export type SchoolChoices = { readonly [Id in SchoolId]?: string };

/** What the default of a school may look at. `ageDays` is null for an instrument that did not come new. */
export type SchoolContext = {
  readonly kind: KindId;
  readonly build: Build;
  readonly ageDays: number | null;
  readonly weeklyMinutes: number;
  readonly conditions: readonly ConditionId[];
};

/** An instrument's schools: what was chosen, and what the defaults are worked out from. */
export type SchoolSetting = { readonly choices: SchoolChoices; readonly context: SchoolContext };
