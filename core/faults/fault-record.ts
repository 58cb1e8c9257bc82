import type { CauseId, ClearedBy, Mishap, SignId } from '#core/book/fault.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Said } from '#core/faults/said.ts';

/** One thing said in an interview, under the key it can be taken back by. */
export type AnswerSaid = Said & { readonly key: string };

/** A remedy that was tried. */
export type OutcomeSaid = {
  readonly key: string;
  readonly cause: CauseId;
  readonly helped: boolean;
  readonly on: LocalDate;
  readonly atWallMinute: number;
};

/** Who has looked at a stopped instrument, or put the question away; `nobody`: it is let be. */
export const ENDED_BY = ['bench', 'maker', 'teacher', 'self', 'nobody'] as const satisfies readonly (
  ClearedBy | 'nobody'
)[];
export type EndedBy = (typeof ENDED_BY)[number];
export type EndSaid = {
  readonly key: string;
  readonly by: EndedBy;
  readonly on: LocalDate;
  readonly atWallMinute: number;
};

/** An interview as the record has it, what was said in its order. */
export type InterviewNoted = {
  readonly key: string;
  readonly on: LocalDate;
  /** When it was begun; of a day without a minute, its first. */
  readonly atWallMinute: number;
  readonly noticed: readonly SignId[];
  readonly answers: readonly AnswerSaid[];
  readonly outcomes: readonly OutcomeSaid[];
  readonly end: EndSaid | null;
  /** It was ended along with another one that says the same, and is no story of its own. */
  readonly endedAlong?: true;
};

/** Something that happened to an instrument. */
export type MishapNoted = {
  readonly key: string;
  readonly mishap: Mishap;
  /** Where it was knocked; null where nobody knows, or it is no matter of a part. */
  readonly part: PartId | null;
  readonly on: LocalDate;
  /** It was said on a later day. */
  readonly saidLater?: boolean;
  readonly end: EndSaid | null;
};

const AT_MOUTH: readonly string[] = ['mouthpiece', 'reed', 'ligature'];
export const isAtMouth = (part: string): boolean => AT_MOUTH.includes(part);
/** A knock on the mouthpiece or the reed is none on the body; where nobody knows, it may be either. */
export const mayHaveHit = (what: 'mouth' | 'body', part: PartId | null): boolean =>
  part === null || isAtMouth(part) === (what === 'mouth');

export type MishapRisk = Mishap | 'mouthpiece-knocked';

/** What a mishap may have done, as the tables name it: what makes some causes likelier. */
export function risksOfMishap({ mishap, part }: Pick<MishapNoted, 'mishap' | 'part'>): MishapRisk[] {
  if (mishap !== 'knocked') return [mishap];
  return [
    ...(mayHaveHit('mouth', part) ? (['mouthpiece-knocked'] as const) : []),
    ...(mayHaveHit('body', part) ? (['knocked'] as const) : []),
  ];
}

/** What the record says of what was wrong with an instrument, the oldest first. */
export type FaultFacts = {
  readonly interviews: readonly InterviewNoted[];
  readonly mishaps: readonly MishapNoted[];
};
export const NO_FAULTS: FaultFacts = { interviews: [], mishaps: [] };

/** Under this key comes the interview that a tapped sign brings along. */
export const askedKeyOf = (key: string): string => `${key}/asked`;
export const wasTapped = ({ key }: Pick<InterviewNoted, 'key'>): boolean => key.endsWith(askedKeyOf(''));

/** Is it still being asked about? A remedy that helped, or somebody who looked, is its end. */
export const isOpen = ({ end, outcomes }: InterviewNoted): boolean =>
  end === null && outcomes.every(({ helped }) => !helped);
