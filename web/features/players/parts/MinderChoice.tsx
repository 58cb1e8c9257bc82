import type { PlayerId } from '#core/instruments/instrument.ts';
import type { ListedPlayer } from '#core/players/profile.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';

const NOBODY = 'nobody';

type MinderChoiceProps = {
  readonly player: ListedPlayer;
  readonly people: readonly ListedPlayer[];
  readonly onChoose: (minderId: PlayerId | null) => void;
};

/** Who looks after a child's or a pupil's instruments with them: they stand on that person's Today as well. */
export function MinderChoice({ player, people, onChoose }: MinderChoiceProps) {
  const grownUps = people.filter(({ id, standing }) => id !== player.id && standing === 'grown-up');
  return (
    <ChooseOne
      label={`Who looks after the instruments with ${player.name}?`}
      options={[{ value: NOBODY, words: 'Nobody' }, ...grownUps.map(({ id, name }) => ({ value: id, words: name }))]}
      value={player.minderId ?? NOBODY}
      onChange={(chosen) => onChoose(grownUps.find(({ id }) => id === chosen)?.id ?? null)}
    />
  );
}
