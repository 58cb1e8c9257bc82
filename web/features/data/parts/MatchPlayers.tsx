import { MenuItem, TextField, Typography } from '@mui/material';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { IncomingPreview } from '#contract/data.ts';

/** Who each player of the file is here; null: somebody new. */
export type Matches = ReadonlyMap<PlayerId, PlayerId | null>;
type MatchPlayersProps = {
  readonly players: IncomingPreview['players'];
  readonly people: readonly { readonly id: PlayerId; readonly name: string }[];
  readonly matches: Matches;
  readonly onChange: (matches: Matches) => void;
};
const NEW = 'new';

/** Asks who the players of another record are here. Once said, it is known for good. */
export const MatchPlayers = ({ players, people, matches, onChange }: MatchPlayersProps) =>
  players.length === 0 ? null : (
    <>
      <Typography>Who are they here? What comes from them is theirs from then on.</Typography>
      {players.map(({ playerId, name }) => (
        <TextField
          key={playerId}
          select
          fullWidth
          label={`${name}, in the file`}
          value={matches.get(playerId) ?? NEW}
          onChange={({ target: { value } }) =>
            onChange(new Map(matches).set(playerId, people.find(({ id }) => id === value)?.id ?? null))
          }
        >
          <MenuItem value={NEW}>Somebody new</MenuItem>
          {people.map((one) => (
            <MenuItem key={one.id} value={one.id}>
              {one.name}
            </MenuItem>
          ))}
        </TextField>
      ))}
    </>
  );
