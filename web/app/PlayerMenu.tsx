import { mdiAccountMusicOutline, mdiMenuDown } from '@mdi/js';
import { Button } from '@mui/material';
import { useEffect, useState } from 'react';
import type { Player } from '#core/players/profile.ts';
import { Icon } from '#web/ui/Icon.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';

type PlayerMenuProps = {
  readonly player: Player;
  readonly players: readonly Player[];
  readonly onShowKeys: () => void;
};

const [PlayerEntries, fetchEntries] = lazyPart(async () => (await import('#web/app/PlayerEntries.tsx')).PlayerEntries);

/** Who holds the device: one tap, no password. Also the light to read by. */
export function PlayerMenu({ player, players, onShowKeys }: PlayerMenuProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  useEffect(() => void fetchEntries(), []);
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
      {anchor && (
        <PlayerEntries
          player={player}
          players={players}
          anchor={anchor}
          onShowKeys={onShowKeys}
          onClose={() => setAnchor(null)}
        />
      )}
    </>
  );
}
