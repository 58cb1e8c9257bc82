import { Typography } from '@mui/material';
import type { KindId } from '#core/instruments/kind.ts';
import type { ReedsPageView } from '#contract/reed-views.ts';
import { PlainList } from '#web/ui/PlainList.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

type ReedsTodayProps = Pick<ReedsPageView, 'kinds'> & {
  /** Only what is ready for its next concert is said of each, not what is played today. */
  readonly onlyConcert?: boolean;
  /** Of these kinds the concert is spoken of elsewhere. */
  readonly saidAbove?: readonly KindId[];
};

/** The reed for each kind of instrument, a line each, with the way to its page. */
export function ReedsToday({ kinds, onlyConcert = false, saidAbove = [] }: ReedsTodayProps) {
  const told = kinds.flatMap(({ kind, kindName, boxes, today, concert }) => {
    const words = [
      ...(onlyConcert || boxes.length === 0 ? [] : today.words),
      ...(saidAbove.includes(kind) || concert === null ? [] : [concert.words]),
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
