import { Divider, ListSubheader, Menu, MenuItem, useColorScheme } from '@mui/material';
import { useNavigate } from 'react-router';
import type { Player } from '#core/players/profile.ts';
import { choosePlayer } from '#web/session/current-player.ts';

type PlayerEntriesProps = {
  readonly player: Player;
  readonly players: readonly Player[];
  readonly anchor: HTMLElement;
  readonly onShowKeys: () => void;
  readonly onClose: () => void;
};

const LIGHTS = [
  { mode: 'light', words: 'Light' },
  { mode: 'dark', words: 'Dark, for the pit' },
  { mode: 'system', words: 'As this device' },
] as const;

/** Who may hold the device, the light to read by, and the keys. */
export function PlayerEntries({ player, players, anchor, onShowKeys, onClose: close }: PlayerEntriesProps) {
  const { mode, setMode } = useColorScheme();
  const navigate = useNavigate();
  const choose = (id: string) => {
    choosePlayer(id);
    close();
    if (id !== player.id) void navigate('/now');
  };
  return (
    <Menu open anchorEl={anchor} onClose={close}>
      {players.map(({ id, name }) => (
        <MenuItem key={id} selected={id === player.id} onClick={() => choose(id)}>
          {name}
        </MenuItem>
      ))}
      <MenuItem
        onClick={() => {
          close();
          void navigate('/players');
        }}
      >
        Somebody else, or change who does what
      </MenuItem>
      <Divider />
      <ListSubheader>Light</ListSubheader>
      {LIGHTS.map((light) => (
        <MenuItem
          key={light.mode}
          selected={light.mode === mode}
          onClick={() => {
            setMode(light.mode);
            close();
          }}
        >
          {light.words}
        </MenuItem>
      ))}
      <Divider />
      <MenuItem
        onClick={() => {
          close();
          void navigate('/settings');
        }}
      >
        Settings
      </MenuItem>
      <MenuItem
        onClick={() => {
          close();
          onShowKeys();
        }}
      >
        Keys
      </MenuItem>
    </Menu>
  );
}
