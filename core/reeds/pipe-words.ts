import type { ReedState } from '#core/reeds/reed-state.ts';

/** What is said of a pipe reed beside which one it is: it is looked at, never soaked, and a spare is played in. */
export function pipeWords(reeds: readonly ReedState[]): string[] {
  const played = reeds.filter(
    ({ stage, playedMinutes, beforeMinutes }) =>
      stage !== 'retired' && stage !== 'new' && (playedMinutes > 0 || beforeMinutes !== 0),
  ).length;
  const spare =
    played >= 2
      ? []
      : [
          reeds.some(({ stage }) => stage === 'new')
            ? 'Keep one spare played in: open the next and play it a little each week.'
            : 'Keep one spare played in: you have none, so buy one with the next order.',
        ];
  return ['Look at its edges against the light before it goes in. It is never soaked.', ...spare];
}
