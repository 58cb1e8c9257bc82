import type { Hands } from '#core/players/player.ts';

/** Who a step is for, in words; nothing where the player simply does it. */
export const HANDS_WORDS: Readonly<Record<Hands, string | null>> = {
  player: null,
  'with-a-grown-up': 'with a grown-up beside you',
  'with-the-teacher': 'with your teacher',
  bench: 'the bench’s work',
};
