import { Button, Typography } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import type { ReedChoiceView, ReedsOfKindView } from '#contract/reed-views.ts';
import { BreakInTimer } from '#web/features/reeds/parts/BreakInTimer.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { useWhyFold, WhyFold } from '#web/ui/WhyFold.tsx';
import { Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type ReedNowProps = { readonly of: ReedsOfKindView; readonly onAddBox: () => void };

/** How many others are named at once. */
const OTHERS = 3;

function ReedLine({ one, children }: { readonly one: ReedChoiceView; readonly children?: React.ReactNode }) {
  const why = useWhyFold({ lines: one.because, about: one.name });
  return (
    <PlainRow>
      <Row wrap between align="center">
        <Space>
          <Text strong>{one.name}</Text>
          <Typography variant="body2" color="text.secondary">
            {one.words} {why.button}
          </Typography>
        </Space>
        {children}
      </Row>
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
        <Text variant="h1" below={1}>
          No reeds yet.
        </Text>
        <Text below={2}>
          Add a box, and Ulu says which reed to play today, for how long, and when to buy the next box.
        </Text>
        {concert && (
          <Text strong below={2}>
            {concert.words}
          </Text>
        )}
        <Button variant="outlined" color="inherit" onClick={onAddBox}>
          Add a box of reeds
        </Button>
      </>
    );
  return (
    <>
      {breaking.length > 0 && (
        <Space below={2}>
          <Text variant={best ? 'h2' : 'h1'} below={0.5}>
            {best ? 'First, break in' : 'Break in today'}
          </Text>
          <PlainList>
            {breaking.map((one) => (
              <ReedLine key={one.reedId} one={one}>
                <BreakInTimer reedId={one.reedId} name={one.name} minutes={one.minutes} />
              </ReedLine>
            ))}
          </PlainList>
        </Space>
      )}
      {best && (
        <Space below={1.5}>
          <Typography color="text.secondary">{breaking.length > 0 ? 'Then play' : 'Play now'}</Typography>
          <Typography variant="h1" color="text.primary">
            {best.name}
          </Typography>
          <WhyFold lines={best.because} about={best.name}>
            <Typography component="span">
              {duration(best.minutes)} today, {best.words}.
            </Typography>
          </WhyFold>
          {best.warp && <Text above={0.5}>{best.warp}</Text>}
          {then.map((one) => (
            <ReedLine key={one.reedId} one={one}>
              <Typography variant="body2">then {duration(one.minutes)}</Typography>
            </ReedLine>
          ))}
        </Space>
      )}
      {today.play.length === 0 && (
        <Text variant="h1" below={1}>
          {order}
        </Text>
      )}
      {rest.map((line) => (
        <Text key={line} above={1} below={1}>
          {line}
        </Text>
      ))}
      {concert && (
        <Space above={1.5} below={1.5}>
          <WhyFold lines={concert.because} about="the next concert">
            <Text component="span" strong>
              {concert.words}
            </Text>
          </WhyFold>
        </Space>
      )}
      {favourite && (
        <Text above={1.5} below={1.5}>
          {favourite}
        </Text>
      )}
      {others.length > 0 && (
        <PlainList>
          {others.map((one) => (
            <ReedLine key={one.reedId} one={one} />
          ))}
        </PlainList>
      )}
    </>
  );
}
