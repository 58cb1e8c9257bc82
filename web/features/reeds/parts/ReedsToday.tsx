import { Typography } from '@mui/material';
import type { ReedsPageView } from '#contract/reed-views.ts';
import { PlainList } from '#web/ui/PlainList.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

/** The reed for each kind of instrument, a line each, with the way to its page. */
export function ReedsToday({ kinds }: Pick<ReedsPageView, 'kinds'>) {
  const told = kinds.filter(({ boxes, concert }) => boxes.length > 0 || concert !== null);
  if (told.length === 0) return null;
  return (
    <PlainList gap={0.5}>
      {told.map(({ kind, kindName, today, concert }) => (
        <Typography component="li" key={kind}>
          <TallLink to="/reeds" strong>
            {kindName}
          </TallLink>
          : {[...today.words, ...(concert === null ? [] : [concert.words])].join(' ')}
        </Typography>
      ))}
    </PlainList>
  );
}
