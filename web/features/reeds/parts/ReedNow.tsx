import { Box, Button, Typography } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import type { ReedChoiceView, ReedsOfKindView } from '#contract/reed-views.ts';
import { BreakInTimer } from '#web/features/reeds/parts/BreakInTimer.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

type ReedNowProps = { readonly of: ReedsOfKindView; readonly onAddBox: () => void };

/** How many others are named at once. */
const OTHERS = 3;

const Row = ({ one, children }: { readonly one: ReedChoiceView; readonly children?: React.ReactNode }) => (
  <PlainRow sx={{ py: 1 }}>
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', justifyContent: 'space-between', gap: 1 }}>
      <Box sx={{ minWidth: 0 }}>
        <Typography sx={{ fontWeight: 650, overflowWrap: 'anywhere' }}>{one.name}</Typography>
        <Typography variant="body2" color="text.secondary">
          {one.words}
        </Typography>
      </Box>
      {children}
    </Box>
    {one.warp && <Typography variant="body2">{one.warp}</Typography>}
    <WhyFold lines={one.because} about={one.name} />
  </PlainRow>
);

/** Which reed now and for how long: the answer large, what is broken in before it, the others below. */
export function ReedNow({ of: { first, choices, resting, favourite, reminder, boxes }, onAddBox }: ReedNowProps) {
  const [best, ...others] = choices;
  if (boxes.length === 0)
    return (
      <>
        <Typography variant="h1" sx={{ mb: 1 }}>
          No reeds yet.
        </Typography>
        <Typography sx={{ mb: 2 }}>
          Add a box, and Ulu says which reed to play today, for how long, and when to buy the next box.
        </Typography>
        <Button variant="outlined" color="inherit" onClick={onAddBox}>
          Add a box of reeds
        </Button>
      </>
    );
  return (
    <>
      {first.length > 0 && (
        <Box sx={{ mb: 2 }}>
          <Typography variant="h2" sx={{ mb: 0.5 }}>
            First, break in
          </Typography>
          <PlainList>
            {first.map((one) => (
              <Row key={one.reedId} one={one}>
                <BreakInTimer reedId={one.reedId} name={one.name} minutes={one.minutes} />
              </Row>
            ))}
          </PlainList>
        </Box>
      )}
      {best ? (
        <Box sx={{ mb: 1.5 }}>
          <Typography color="text.secondary">{first.length > 0 ? 'Then play' : 'Play now'}</Typography>
          <Typography variant="h1" sx={{ color: 'text.primary' }}>
            {best.name}
          </Typography>
          <Typography>
            Up to {duration(best.minutes)} today, {best.words}.
          </Typography>
          {best.warp && <Typography sx={{ mt: 0.5 }}>{best.warp}</Typography>}
          <WhyFold lines={best.because} about={best.name} />
        </Box>
      ) : (
        <Typography variant="h1" sx={{ mb: 1 }}>
          {resting.length > 0 ? 'Every reed rests.' : 'No reed is in rotation.'}
        </Typography>
      )}
      {reminder && <Typography sx={{ my: 1.5, fontWeight: 650 }}>{reminder}</Typography>}
      {favourite && <Typography sx={{ my: 1.5 }}>{favourite}</Typography>}
      {(others.length > 0 || resting.length > 0) && (
        <PlainList>
          {[...others, ...resting].slice(0, OTHERS).map((one) => (
            <Row key={one.reedId} one={one} />
          ))}
        </PlainList>
      )}
    </>
  );
}
