import type { ReedsOfKindView } from '#contract/reed-views.ts';
import type { Rule } from '#tools/lives/life.ts';

/** What is wrong with what is said to be played, in words. */
function wrongWith({ kindName, today, boxes }: ReedsOfKindView): string[] {
  const said = today.words.join(' ');
  const living = boxes.flatMap(({ reeds }) => reeds).filter(({ stage }) => stage !== 'retired');
  const stageOf = (reedId: string) => living.find((one) => one.reedId === reedId)?.stage;
  const named = [...today.play, ...(today.beyond ? [today.beyond] : [])];
  const [main] = today.play.filter(({ isBrokenIn }) => isBrokenIn);
  const sound = today.play.find(({ reedId }) => stageOf(reedId) === 'in-rotation');
  return [
    ...(named.length === 0 && !/buy|open|borrow/i.test(said)
      ? [`nothing to play, and no word of what to do: ${said}`]
      : []),
    ...(living.length === 0 && !/buy|borrow/i.test(said) ? ['no reed lives, and nobody says to buy one'] : []),
    ...named.filter(({ reedId }) => !stageOf(reedId)).map(({ name }) => `${name} is dead, and is to be played`),
    ...(main && sound && stageOf(main.reedId) === 'practice-only'
      ? [`${main.name} is only good for practice, while ${sound.name} is sound`]
      : []),
  ].map((words) => `${kindName}: ${words}`);
}

/** There is something sensible to play, or it is said what to do; nothing dead is offered, nothing spent before a sound one. */
export const rule: Rule = {
  name: 'something-to-play',
  words: 'There is something sensible to play, or it is said what to do.',
  judge: ({ days }) =>
    days.flatMap(({ on, morning }) => (morning.reeds?.kinds ?? []).flatMap(wrongWith).map((words) => ({ on, words }))),
};
