import { Box } from '@mui/material';
import { useEffect, useState } from 'react';
import { Outlet, useLocation } from 'react-router';
import { placeOf } from '#web/app/moments.ts';
import { Rail } from '#web/app/Rail.tsx';
import { Shelf } from '#web/app/Shelf.tsx';
import { ShortcutKeys } from '#web/app/ShortcutKeys.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { remember, REMEMBERED } from '#web/session/stored.ts';
import { Space } from '#web/ui/layout.tsx';

/** Comes after the first view. Where it cannot come, what is unsent stays on the device until it can. */
const [Unsent] = lazyPart(() =>
  import('#web/app/Unsent.tsx').then(
    (room) => room.Unsent,
    () => () => null,
  ),
);

/** The open case: the shelf along the top (which instrument), the rail at the side (which moment), the lining between. */
export function Frame() {
  const { pathname } = useLocation();
  const { moment, name, instrumentId } = placeOf(pathname);
  const [keysShown, setKeysShown] = useState(false);
  useEffect(() => {
    if (instrumentId) remember(REMEMBERED.instrument, instrumentId);
  }, [instrumentId]);
  useEffect(() => {
    document.title = name === 'Ulu' ? name : `${name} · Ulu`;
  }, [name]);
  return (
    <Box
      sx={{
        minHeight: '100vh',
        bgcolor: 'frame.main',
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '116px minmax(0, 1fr)' },
        gridTemplateRows: 'auto 1fr',
      }}
    >
      <Box
        component="a"
        href="#lining"
        sx={{
          position: 'absolute',
          left: -9999,
          '&:focus': { left: 8, top: 8, zIndex: 10, p: 1, bgcolor: 'brass.main', color: 'brass.ink' },
        }}
      >
        To the page
      </Box>
      <Box component="header" sx={{ gridColumn: '1 / -1', minWidth: 0 }}>
        <Shelf moment={moment ?? 'now'} instrumentId={instrumentId} onShowKeys={() => setKeysShown(true)} />
      </Box>
      <Rail moment={moment} instrumentId={instrumentId} />
      <Box
        component="main"
        id="lining"
        tabIndex={-1}
        sx={{
          bgcolor: 'background.default',
          color: 'text.primary',
          borderRadius: { xs: 0, md: '22px 0 0 0' },
          p: { xs: 1.5, sm: 2.5 },
          pb: { xs: 12, md: 3 },
          minWidth: 0,
          outline: 'none',
        }}
      >
        <Space width={1240}>
          <Unsent />
          <Outlet />
        </Space>
      </Box>
      <ShortcutKeys instrumentId={instrumentId} open={keysShown} setOpen={setKeysShown} />
    </Box>
  );
}
