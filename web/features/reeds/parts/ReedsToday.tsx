import { Typography } from '@mui/material';
import type { ReedsPageView } from '#contract/reed-views.ts';
import { PlainList } from '#web/ui/PlainList.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

type ReedsTodayProps = Pick<ReedsPageView, 'kinds'> & {
  /** What is said of each: what is played today, what is ready for its next concert, or both. */
  readonly say?: 'both' | 'today' | 'concert';
};

/** The reed for each kind of instrument, a line each, with the way to its page. */
export function ReedsToday({ kinds, say = 'both' }: ReedsTodayProps) {
  const told = kinds.flatMap(({ kind, kindName, boxes, today, concert }) => {
    const words = [
      ...(say === 'concert' || boxes.length === 0 ? [] : today.words),
      ...(say === 'today' || concert === null ? [] : [concert.words]),
    ];
    return words.length === 0 ? [] : [{ kind, kindName, words }];
  });
  if (told.length === 0) return null;
  return (
    <PlainList gap={0.5}>
      {told.map(({ kind, kindName, words }) => (
        <Typography component="li" key={kind}>
          <TallLink to="/reeds" strong>
            {kindName}
          </TallLink>
          : {words.join(' ')}
        </Typography>
      ))}
    </PlainList>
  );
}
