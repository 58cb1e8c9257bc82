import { ofInstrument, ofPlayer, type Subject } from '#core/record/fact.ts';
import type { InstrumentsRepository } from '#server/features/instruments/instruments.repository.ts';
import type { PlayersRepository } from '#server/features/players/players.repository.ts';

type Known = { readonly players: PlayersRepository; readonly instruments: InstrumentsRepository };

/**
 * Whose pages hang on what was written of these subjects: of an instrument its player's as well, of a player those of all
 * they play; and whoever looks after that player's instruments, or did, sees them too.
 */
export function reachOf({ players, instruments }: Known, subjects: readonly Subject[]): Subject[] {
  const reached = new Map<string, Subject>();
  const reach = (subject: Subject): void => void reached.set(`${subject.kind} ${subject.id}`, subject);
  const reachPlayer = (id: string | undefined): void => {
    if (id === undefined) return;
    reach(ofPlayer(id));
    // Those who do no longer have a page to take them from.
    for (const minder of players.mindersOf(id)) reach(ofPlayer(minder));
  };
  for (const subject of subjects) {
    reach(subject);
    reachPlayer(subject.kind === 'player' ? subject.id : instruments.playerOf(subject.id));
    if (subject.kind === 'player') for (const { id } of instruments.ofPlayer(subject.id)) reach(ofInstrument(id));
  }
  return [...reached.values()];
}
