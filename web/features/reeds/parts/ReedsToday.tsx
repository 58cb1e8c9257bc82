import { Link as MuiLink, Typography } from '@mui/material';
import { Link } from 'react-router';
import { duration } from '#core/explain/format.ts';
import type { ReedsPageView } from '#contract/reed-views.ts';
import { PlainList } from '#web/ui/PlainList.tsx';

/** The reed for each kind of instrument, a line each, with the way to its page. */
export function ReedsToday({ kinds }: Pick<ReedsPageView, 'kinds'>) {
  const told = kinds.filter(({ choices, first }) => choices.length + first.length > 0);
  if (told.length === 0) return null;
  return (
    <PlainList gap={0.5}>
      {told.map(({ kind, kindName, choices, first, reminder }) => {
        const parts = [
          ...first.map(({ name, minutes }) => `break in ${name} for ${duration(minutes)}`),
          ...choices.slice(0, 1).map(({ name, minutes }) => `play ${name} for up to ${duration(minutes)}`),
        ];
        return (
          <Typography component="li" key={kind} sx={{ overflowWrap: 'anywhere' }}>
            <MuiLink
              component={Link}
              to="/reeds"
              color="inherit"
              sx={{ display: 'inline-block', py: 1.5, my: -1, fontWeight: 650 }}
            >
              {kindName}
            </MuiLink>
            : {parts.join(', then ')}.{reminder === null ? '' : ` ${reminder}`}
          </Typography>
        );
      })}
    </PlainList>
  );
}
