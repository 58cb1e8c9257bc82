import { mdiDotsHorizontal } from '@mdi/js';
import { Box, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { MOMENTS, type MomentPath } from '#web/app/moments.ts';
import { useToday } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { remember, REMEMBERED, useRemembered } from '#web/session/stored.ts';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Icon } from '#web/ui/Icon.tsx';

const [EntryMenu] = lazyPart(async () => (await import('#web/ui/EntryMenu.tsx')).EntryMenu);

type RailProps = { readonly moment: MomentPath | null; readonly instrumentId: string | null };

/** A player none of whose instruments has reeds is not asked to keep any. */
function useMoments(here: MomentPath | null) {
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  const player = useCurrentPlayer(useQuery(playerQueries.list()).data);
  const own = (shelf.data ?? []).filter(({ playerId }) => playerId === player?.id);
  const isKnown = player !== undefined && own.length > 0;
  // Until the shelf is there it is as it was: a moment that comes or goes moves the others from under the finger.
  const lastWithout = useRemembered(REMEMBERED.withoutReeds);
  const last = useRemembered(REMEMBERED.player);
  const noReeds = isKnown ? own.every(({ hasReeds }) => !hasReeds) : last !== null && lastWithout === last;
  useEffect(() => {
    if (isKnown) remember(REMEMBERED.withoutReeds, noReeds ? player.id : '');
  }, [isKnown, noReeds, player]);
  return MOMENTS.filter(({ path }) => path !== 'reeds' || here === 'reeds' || !noReeds);
}

/** A place on the rail, shown where it has one. */
const entry = (here: boolean, display: { readonly xs: string; readonly md: string }) => ({
  display,
  flexDirection: 'column',
  gap: 0.25,
  py: 1,
  px: { xs: 0.25, md: 1 },
  minHeight: 60,
  minWidth: { xs: 0, md: 76 },
  flex: { xs: '1 1 0', md: '0 0 auto' },
  borderRadius: 2,
  // Six names side by side on the narrowest phone.
  fontSize: { xs: '0.8125rem', sm: '0.9375rem', md: '1rem' },
  fontWeight: here ? 700 : 500,
  color: here ? 'frame.text' : 'frame.quiet',
  bgcolor: here ? 'frame.raised' : 'transparent',
  '&:hover': { bgcolor: 'frame.raised' },
});

/** Which moment: at the side on a wide screen, along the bottom on a phone. */
export function Rail({ moment, instrumentId }: RailProps) {
  const navigate = useNavigate();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const moments = useMoments(moment);
  const more = moments.filter(({ isDaily }) => !isDaily);
  const to = (path: MomentPath) => (instrumentId ? `/${path}/${instrumentId}` : `/${path}`);
  return (
    <Box
      component="nav"
      aria-label="Moments"
      sx={{
        display: 'flex',
        flexDirection: { xs: 'row', md: 'column' },
        justifyContent: { xs: 'space-around', md: 'flex-start' },
        gap: 0.75,
        p: { xs: 0.5, md: 1 },
        position: { xs: 'fixed', md: 'static' },
        inset: { xs: 'auto 0 0 0', md: 'auto' },
        zIndex: 5,
        bgcolor: 'frame.main',
        borderTop: { xs: '1px solid var(--ulu-palette-frame-line)', md: 'none' },
      }}
    >
      {moments.map(({ path, name, icon, isDaily }) => (
        <ButtonBase
          key={path}
          {...{ component: Link, to: to(path) }}
          aria-current={path === moment ? 'page' : undefined}
          sx={entry(path === moment, { xs: isDaily ? 'inline-flex' : 'none', md: 'inline-flex' })}
        >
          <Icon path={icon} />
          {name}
        </ButtonBase>
      ))}
      <ButtonBase
        aria-haspopup="menu"
        aria-current={more.some(({ path }) => path === moment) ? 'page' : undefined}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={entry(
          more.some(({ path }) => path === moment),
          { xs: 'inline-flex', md: 'none' },
        )}
      >
        <Icon path={mdiDotsHorizontal} />
        More
      </ButtonBase>
      {anchor && (
        <EntryMenu
          anchor={anchor}
          entries={more.map(({ path, name }) => ({ words: name, act: () => void navigate(to(path)) }))}
          onClose={() => setAnchor(null)}
        />
      )}
    </Box>
  );
}
