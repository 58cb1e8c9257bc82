import { Box, Button } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { counted, listed } from '#core/explain/format.ts';
import type { ShelfPlace } from '#contract/instruments.ts';
import type { TodayView } from '#contract/today.ts';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Text } from '#web/ui/Text.tsx';

const NAMED_IN_A_LINE = 6;

/** Instruments of others, by name: one tap away, and out of the way. */
export function Others({ places }: { readonly places: readonly ShelfPlace[] }) {
  const [open, setOpen] = useState(false);
  if (places.length === 0) return null;
  return (
    <Box>
      <Button color="inherit" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide' : 'Show'} the instruments of others ({places.length})
      </Button>
      {open && (
        <PlainList inline gap={1}>
          {places.map(({ id, name, kindName }) => (
            <li key={id}>
              <Button variant="outlined" color="inherit" {...{ component: Link, to: `/now/${id}` }}>
                {name}
                {name === kindName ? '' : ` · ${kindName}`}
              </Button>
            </li>
          ))}
        </PlainList>
      )}
    </Box>
  );
}

/** Names in one quiet line; many are only counted. */
export function QuietLine({ of, children }: { readonly of: TodayView['fine']; readonly children: string }) {
  if (of.length === 0) return null;
  const names = of.map(({ name, ownerName }) =>
    ownerName === null ? name : `${ownerName.split(' ')[0] ?? ownerName}’s ${name}`,
  );
  return (
    <Text variant="body2" color="text.secondary" above={1}>
      {children}: {names.length > NAMED_IN_A_LINE ? counted(names.length, 'instrument') : listed(names)}.
    </Text>
  );
}
