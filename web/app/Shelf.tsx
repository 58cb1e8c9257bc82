import { mdiPlus } from '@mdi/js';
import { Box, ButtonBase, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { Link } from 'react-router';
import type { ShelfPlace } from '#contract/instruments.ts';
import { PlayerMenu } from '#web/app/PlayerMenu.tsx';
import type { MomentPath } from '#web/app/moments.ts';
import { useToday } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { Silhouette } from '#web/ui/Silhouette.tsx';
import { TubeGauge } from '#web/ui/TubeGauge.tsx';
import { Icon } from '#web/ui/Icon.tsx';

type ShelfProps = {
  readonly moment: MomentPath;
  readonly instrumentId: string | null;
  readonly onShowKeys: () => void;
};

const place = (here: boolean) => ({
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'flex-start',
  gap: 1,
  px: 1.25,
  py: 0.75,
  minHeight: 60,
  flexShrink: 0,
  textAlign: 'left',
  borderRadius: '12px 12px 18px 18px',
  color: 'frame.text',
  bgcolor: here ? 'frame.raised' : 'transparent',
  border: '1px solid',
  borderColor: here ? 'frame.quiet' : 'frame.line',
  '&:hover': { bgcolor: 'frame.raised' },
});

/** What is said of one in a word or two: where it is, what it waits for, or how its most pressing care stands. */
function standingOf({ awayUntil, goesToday, awaitsPackUp, isCasedDamp, gauge, faults }: ShelfPlace): string {
  if (awayUntil !== null && !goesToday) return 'at the bench';
  if (faults === 'stopped') return 'stopped';
  if (isCasedDamp) return 'cased damp';
  if (awaitsPackUp) return 'to pack up';
  return goesToday ? 'to the bench today' : (gauge?.words ?? 'nothing due');
}

function Place({ one, to, here }: { readonly one: ShelfPlace; readonly to: string; readonly here: boolean }) {
  return (
    <ButtonBase {...{ component: Link, to }} aria-current={here ? 'true' : undefined} sx={place(here)}>
      <Silhouette kind={one.kind} size={38} />
      <Box>
        <Typography component="span" noWrap sx={{ display: 'block', fontWeight: 650, lineHeight: 1.2, maxWidth: 200 }}>
          {one.name}
        </Typography>
        <Typography component="span" variant="body2" sx={{ color: 'frame.quiet', lineHeight: 1.2 }}>
          {standingOf(one)}
        </Typography>
      </Box>
      {one.gauge && one.awayUntil === null && one.faults !== 'stopped' && <TubeGauge gauge={one.gauge} height={36} />}
    </ButtonBase>
  );
}

/** Does the shelf go on beyond its right end? It fades out there, so that nobody takes the last one seen for the last. */
function useMore() {
  const row = useRef<HTMLElement>(null);
  const [more, setMore] = useState(false);
  const look = useCallback(() => {
    const box = row.current;
    if (box) setMore(box.scrollWidth - box.clientWidth - box.scrollLeft > 1);
  }, []);
  useEffect(() => {
    look();
    window.addEventListener('resize', look);
    return () => window.removeEventListener('resize', look);
  });
  return { row, look, more };
}

/** The row rolls to what is chosen in it wherever that is out of sight; the page stays where it is. */
function useInSight(row: RefObject<HTMLElement | null>, chosen: string | null) {
  useEffect(() => {
    const box = row.current;
    const one = box?.querySelector('[aria-current="true"]');
    if (!box || !one) return;
    const [around, of] = [box.getBoundingClientRect(), one.getBoundingClientRect()];
    if (of.left < around.left || of.right > around.right)
      box.scrollLeft += (of.left + of.right) / 2 - (around.left + around.right) / 2;
  }, [row, chosen]);
}

/** Which instrument: the player's own first on the shelf, "all" before them, the player chosen beside it. */
export function Shelf({ moment, instrumentId, onShowKeys }: ShelfProps) {
  const today = useToday();
  const { row, look, more } = useMore();
  const shelf = useQuery(instrumentQueries.shelf(today));
  const players = useQuery(playerQueries.list());
  const player = useCurrentPlayer(players.data);
  const mine = shelf.data?.filter(({ playerId, id }) => playerId === player?.id || id === instrumentId) ?? [];
  useInSight(row, mine.find(({ id }) => id === instrumentId)?.id ?? null);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, px: { xs: 1, md: 2 }, py: 1 }}>
      <Typography
        component="span"
        aria-hidden
        sx={{ typography: 'h2', color: 'brass.main', mr: 1, display: { xs: 'none', md: 'block' }, width: 76 }}
      >
        Ulu
      </Typography>
      <Box
        component="nav"
        aria-label="Instruments"
        ref={row}
        onScroll={look}
        sx={{
          display: 'flex',
          gap: 1,
          overflowX: 'auto',
          flexGrow: 1,
          minWidth: 0,
          py: 0.5,
          px: 0.5,
          ...(more && { maskImage: 'linear-gradient(to right, #000 calc(100% - 40px), transparent)' }),
        }}
      >
        <ButtonBase
          {...{ component: Link, to: `/${moment}` }}
          aria-current={instrumentId === null ? 'true' : undefined}
          sx={{ ...place(instrumentId === null), px: 2, fontWeight: 650 }}
        >
          All
        </ButtonBase>
        {mine.map((one) => (
          <Place key={one.id} one={one} to={`/${moment}/${one.id}`} here={one.id === instrumentId} />
        ))}
        <ButtonBase
          {...{ component: Link, to: '/add' }}
          aria-label="Add an instrument"
          sx={{ ...place(false), px: 2, borderStyle: 'dashed' }}
        >
          <Icon path={mdiPlus} />
        </ButtonBase>
      </Box>
      {player && players.data && <PlayerMenu player={player} players={players.data} onShowKeys={onShowKeys} />}
    </Box>
  );
}
