import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { duration } from '#core/explain/format.ts';
import { AtTheBench } from '#web/features/now/parts/AtTheBench.tsx';
import { ReadyToPlay, type ReadyProps } from '#web/features/now/parts/ReadyToPlay.tsx';
import { CasedDamp } from '#web/features/packup/parts/CasedDamp.tsx';
import { FORMAT } from '#web/clock/format.ts';
import { StoppedNow } from '#web/features/now/parts/FaultsNow.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { MinutesAtHand } from '#web/ui/MinutesAtHand.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

/** The one thing to do now, big. */
export function NextAction({
  page,
  onPlayed,
  onPackUp,
  onLayOut,
  busy,
  ...ready
}: Omit<ReadyProps, 'played'> & {
  readonly onPackUp: (minutesAtHand: number | null) => void;
  readonly onLayOut: () => void;
}) {
  const { instrument, openRunKey, awaitsPackUp, awayUntil, goesToday, stopped, lastPlay, water, damp, alone } = page;
  const [minutesAtHand, setMinutesAtHand] = useState<number | null>(null);
  const played = lastPlay
    ? `Last played ${FORMAT.weekdayDate(lastPlay.endedOn)}, ${duration(lastPlay.minutes)}.`
    : 'Nothing played in this record yet.';
  if (openRunKey !== null)
    return (
      <>
        <Text variant="h1" below={1}>
          A run is under way.
        </Text>
        <Text below={2}>Nothing you ticked is lost.</Text>
        <BrassButton {...{ component: Link, to: `/pack-up/${instrument.id}/${openRunKey}` }}>Go on with it</BrassButton>
      </>
    );
  if (stopped && !stopped.mayBePlayed) return <StoppedNow page={page} busy={busy} onPlayed={onPlayed} />;
  const away = awayUntil !== null && (
    <AtTheBench instrumentId={instrument.id} until={awayUntil} {...{ goesToday, busy, onPlayed }} />
  );
  if (away && !goesToday) return away;
  if (awaitsPackUp)
    return (
      <>
        <Text variant="h1" below={1}>
          Not packed up yet.
        </Text>
        <Typography>{played}</Typography>
        {water.grams > 0 && (
          <Space below={1.5}>
            <WhyFold lines={water.because} about="the water in it">
              <Text component="span" color="water.ink" strong>
                About {FORMAT.grams(water.grams)} of water stand in {alone.wetName?.toLowerCase() ?? 'it'}.
              </Text>
            </WhyFold>
          </Space>
        )}
        <Space wide below={1.5}>
          <MinutesAtHand value={minutesAtHand} onChange={setMinutesAtHand} />
        </Space>
        <BrassButton disabled={busy} onClick={() => onPackUp(minutesAtHand)}>
          Start packing up
        </BrassButton>
        <Space above={1}>
          <Button color="inherit" onClick={onPlayed}>
            I have played again
          </Button>
        </Space>
      </>
    );
  if (damp !== null) return <CasedDamp damp={damp} busy={busy} onLayOut={onLayOut} onPlayed={onPlayed} />;
  if (away) return away;
  return <ReadyToPlay page={page} played={played} busy={busy} onPlayed={onPlayed} {...ready} />;
}
