import { Box, Button, Typography } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import type { ReedChoiceView, ReedsOfKindView } from '#contract/reed-views.ts';
import { BreakInTimer } from '#web/features/reeds/parts/BreakInTimer.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { useWhyFold, WhyFold } from '#web/ui/WhyFold.tsx';

type ReedNowProps = { readonly of: ReedsOfKindView; readonly onAddBox: () => void };

/** How many others are named at once. */
const OTHERS = 3;

function Row({ one, children }: { readonly one: ReedChoiceView; readonly children?: React.ReactNode }) {
  const why = useWhyFold({ lines: one.because, about: one.name });
  return (
    <PlainRow sx={{ py: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', justifyContent: 'space-between', gap: 1 }}>
        <Box sx={{ minWidth: 0 }}>
          <Typography sx={{ fontWeight: 650, overflowWrap: 'anywhere' }}>{one.name}</Typography>
          <Typography variant="body2" color="text.secondary">
            {one.words} {why.button}
          </Typography>
        </Box>
        {children}
      </Box>
      {one.warp && <Typography variant="body2">{one.warp}</Typography>}
      {why.fold}
    </PlainRow>
  );
}

/** Which reed now and for how long: the answer large, what is broken in before it, the others below. */
export function ReedNow({ of: { today, choices, resting, favourite, concert, boxes }, onAddBox }: ReedNowProps) {
  const breaking = today.play.filter(({ isBrokenIn }) => !isBrokenIn);
  const [best, ...then] = today.play.filter(({ isBrokenIn }) => isBrokenIn);
  const shown = new Set(today.play.map(({ reedId }) => reedId));
  const others = [...choices, ...resting].filter(({ reedId }) => !shown.has(reedId)).slice(0, OTHERS);
  // What is played stands large above; what else is to be done, below it.
  const [order, ...rest] = today.words;
  if (boxes.length === 0)
    return (
      <>
        <Typography variant="h1" sx={{ mb: 1 }}>
          No reeds yet.
        </Typography>
        <Typography sx={{ mb: 2 }}>
          Add a box, and Ulu says which reed to play today, for how long, and when to buy the next box.
        </Typography>
        {concert && <Typography sx={{ mb: 2, fontWeight: 650 }}>{concert.words}</Typography>}
        <Button variant="outlined" color="inherit" onClick={onAddBox}>
          Add a box of reeds
        </Button>
      </>
    );
  return (
    <>
      {breaking.length > 0 && (
        <Box sx={{ mb: 2 }}>
          <Typography variant={best ? 'h2' : 'h1'} sx={{ mb: 0.5 }}>
            {best ? 'First, break in' : 'Break in today'}
          </Typography>
          <PlainList>
            {breaking.map((one) => (
              <Row key={one.reedId} one={one}>
                <BreakInTimer reedId={one.reedId} name={one.name} minutes={one.minutes} />
              </Row>
            ))}
          </PlainList>
        </Box>
      )}
      {best && (
        <Box sx={{ mb: 1.5 }}>
          <Typography color="text.secondary">{breaking.length > 0 ? 'Then play' : 'Play now'}</Typography>
          <Typography variant="h1" sx={{ color: 'text.primary' }}>
            {best.name}
          </Typography>
          <WhyFold lines={best.because} about={best.name}>
            <Typography component="span">
              {duration(best.minutes)} today, {best.words}.
            </Typography>
          </WhyFold>
          {best.warp && <Typography sx={{ mt: 0.5 }}>{best.warp}</Typography>}
          {then.map((one) => (
            <Row key={one.reedId} one={one}>
              <Typography variant="body2">then {duration(one.minutes)}</Typography>
            </Row>
          ))}
        </Box>
      )}
      {today.play.length === 0 && (
        <Typography variant="h1" sx={{ mb: 1 }}>
          {order}
        </Typography>
      )}
      {rest.map((line) => (
        <Typography key={line} sx={{ my: 1 }}>
          {line}
        </Typography>
      ))}
      {concert && (
        <Box sx={{ my: 1.5 }}>
          <WhyFold lines={concert.because} about="the next concert">
            <Typography component="span" sx={{ fontWeight: 650 }}>
              {concert.words}
            </Typography>
          </WhyFold>
        </Box>
      )}
      {favourite && <Typography sx={{ my: 1.5 }}>{favourite}</Typography>}
      {others.length > 0 && (
        <PlainList>
          {others.map((one) => (
            <Row key={one.reedId} one={one} />
          ))}
        </PlainList>
      )}
    </>
  );
}
