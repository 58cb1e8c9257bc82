import type { ClearedBy } from '#core/book/fault.ts';
import type { StopStanding } from '#core/faults/faults-standing.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** A stop as it is said: what is done meanwhile, and who says that the instrument is well again. */
export type StopSaid = {
  /** The fact that is ended once it is well. */
  readonly key: string;
  readonly heading: string;
  readonly meanwhile: string;
  readonly why: string;
  readonly mayBePlayed: boolean;
  readonly clearedBy: ClearedBy;
  readonly clearedWords: string;
  readonly since: LocalDate;
};

const WHO_SAYS: Readonly<Record<ClearedBy, string>> = {
  bench: 'The bench says when it may be played again.',
  maker: 'The maker says when it may be played again.',
  teacher: 'A teacher or the bench says when it may be played again.',
  self: 'Say so when it is done.',
};
const whySaid = ({ rule, unsure }: Pick<StopStanding, 'rule' | 'unsure'>): string =>
  unsure ? 'Nobody could tell. It waits until a teacher or the bench has looked.' : WHO_SAYS[rule.clearedBy];
const CLEARED: Readonly<Record<ClearedBy, string>> = {
  bench: 'The bench has seen to it',
  maker: 'The maker has seen to it',
  teacher: 'A teacher or the bench has looked: it is well',
  self: 'It is done',
};

/** Who has to hear of it where a child plays it: they neither mend it nor take it away by themselves. */
const TELL_A_GROWN_UP = 'Tell a grown-up today.';

/** A stop in words, as this player is told. */
export function stopSaid(
  { rule, unsure, since, key }: StopStanding,
  { standing }: Pick<PlayerAbilities, 'standing'>,
): StopSaid {
  const why = whySaid({ rule, unsure });
  const clearedBy = unsure ? 'teacher' : rule.clearedBy;
  return {
    key,
    heading: rule.heading,
    meanwhile: rule.meanwhile,
    why: standing === 'child' ? `${TELL_A_GROWN_UP} ${why}` : why,
    mayBePlayed: rule.stands === 'no-force',
    clearedBy,
    clearedWords: CLEARED[clearedBy],
    since,
  };
}
