import { mdiAccountMusicOutline, mdiMenuDown } from '@mdi/js';
import { Button, Divider, ListSubheader, Menu, MenuItem, useColorScheme } from '@mui/material';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Player } from '#core/players/profile.ts';
import { choosePlayer } from '#web/session/current-player.ts';
import { Icon } from '#web/ui/Icon.tsx';

type PlayerMenuProps = {
  readonly player: Player;
  readonly players: readonly Player[];
  readonly onShowKeys: () => void;
};

const LIGHTS = [
  { mode: 'light', words: 'Light' },
  { mode: 'dark', words: 'Dark, for the pit' },
  { mode: 'system', words: 'As this device' },
] as const;

/** Who holds the device: one tap, no password. Also the light to read by. */
export function PlayerMenu({ player, players, onShowKeys }: PlayerMenuProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { mode, setMode } = useColorScheme();
  const navigate = useNavigate();
  const close = () => setAnchor(null);
  const choose = (id: string) => {
    choosePlayer(id);
    close();
    if (id !== player.id) void navigate('/now');
  };
  return (
    <>
      <Button
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
        aria-label={`Player: ${player.name}`}
        startIcon={<Icon path={mdiAccountMusicOutline} />}
        endIcon={<Icon path={mdiMenuDown} />}
        sx={{ color: 'frame.text', flexShrink: 0, px: { xs: 1, sm: 1.5 } }}
      >
        {player.name.split(' ')[0]}
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={close}>
        {players.map(({ id, name }) => (
          <MenuItem key={id} selected={id === player.id} onClick={() => choose(id)} sx={{ minHeight: 44 }}>
            {name}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            close();
            void navigate('/players');
          }}
          sx={{ minHeight: 44 }}
        >
          Somebody else, or change who does what
        </MenuItem>
        <Divider />
        <ListSubheader sx={{ lineHeight: 2 }}>Light</ListSubheader>
        {LIGHTS.map((light) => (
          <MenuItem
            key={light.mode}
            selected={light.mode === mode}
            onClick={() => {
              setMode(light.mode);
              close();
            }}
            sx={{ minHeight: 44 }}
          >
            {light.words}
          </MenuItem>
        ))}
        <Divider />
        <MenuItem
          onClick={() => {
            close();
            onShowKeys();
          }}
          sx={{ minHeight: 44 }}
        >
          Keys
        </MenuItem>
      </Menu>
    </>
  );
}
