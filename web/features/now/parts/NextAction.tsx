import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentPage } from '#contract/care.ts';
import { duration, listed } from '#core/explain/format.ts';
import { AtTheBench } from '#web/features/now/parts/AtTheBench.tsx';
import { BeforeTheFirstNote } from '#web/features/now/parts/BeforeTheFirstNote.tsx';
import { CasedDamp } from '#web/features/packup/parts/CasedDamp.tsx';
import { FORMAT } from '#web/clock/format.ts';
import { SomethingWrong, StoppedNow } from '#web/features/now/parts/FaultsNow.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { MinutesAtHand } from '#web/ui/MinutesAtHand.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

/** What packing up in a hurry has left, and one tap to do it. */
const LeftFromPackingUp = ({
  left,
  busy,
  onStart,
}: {
  readonly left: InstrumentPage['leftForLater'];
  readonly busy: boolean;
  readonly onStart: (itemIds: readonly CareItemId[]) => void;
}) => (
  <Box sx={{ mb: 2, display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
    <Typography>Left from packing up: {listed(left.map(({ name }) => name.toLowerCase()))}.</Typography>
    <Button
      variant="outlined"
      color="inherit"
      disabled={busy}
      onClick={() => onStart(left.map(({ itemId }) => itemId))}
    >
      Do it now
    </Button>
  </Box>
);

/** The one thing to do now, big. */
export function NextAction({
  page,
  onPlayed,
  onPackUp,
  onFinishLeft,
  onMakeReady,
  onLayOut,
  onBreak,
  busy,
}: {
  readonly page: InstrumentPage;
  readonly onPlayed: () => void;
  readonly onPackUp: (minutesAtHand: number | null) => void;
  readonly onFinishLeft: (itemIds: readonly CareItemId[]) => void;
  /** As is usual; null: all of it. */
  readonly onMakeReady: (alone?: null) => void;
  readonly onLayOut: () => void;
  readonly onBreak: () => void;
  readonly busy: boolean;
}) {
  const {
    instrument,
    openRunKey,
    awaitsPackUp,
    awayUntil,
    stopped,
    leftForLater,
    lastPlay,
    water,
    damp,
    alone,
    firstNote,
  } = page;
  const [minutesAtHand, setMinutesAtHand] = useState<number | null>(null);
  const played = lastPlay
    ? `Last played ${FORMAT.weekdayDate(lastPlay.endedOn)}, ${duration(lastPlay.minutes)}.`
    : 'Nothing played in this record yet.';
  if (openRunKey !== null)
    return (
      <>
        <Typography variant="h1" sx={{ mb: 1 }}>
          A run is under way.
        </Typography>
        <Typography sx={{ mb: 2 }}>Nothing you ticked is lost.</Typography>
        <BrassButton {...{ component: Link, to: `/pack-up/${instrument.id}/${openRunKey}` }}>Go on with it</BrassButton>
      </>
    );
  if (stopped && !stopped.mayBePlayed) return <StoppedNow page={page} busy={busy} onPlayed={onPlayed} />;
  if (awayUntil !== null)
    return <AtTheBench instrumentId={instrument.id} until={awayUntil} busy={busy} onPlayed={onPlayed} />;
  if (awaitsPackUp)
    return (
      <>
        <Typography variant="h1" sx={{ mb: 1 }}>
          Not packed up yet.
        </Typography>
        <Typography>{played}</Typography>
        {water.grams > 0 && (
          <Box sx={{ mb: 1.5 }}>
            <Typography sx={{ color: 'water.ink', fontWeight: 650 }}>
              About {FORMAT.grams(water.grams)} of water stand in {alone.wetName?.toLowerCase() ?? 'it'}.
            </Typography>
            <WhyFold lines={water.because} about="the water in it" />
          </Box>
        )}
        <Box sx={{ mb: 1.5, width: '100%' }}>
          <MinutesAtHand value={minutesAtHand} onChange={setMinutesAtHand} />
        </Box>
        <BrassButton disabled={busy} onClick={() => onPackUp(minutesAtHand)}>
          Start packing up
        </BrassButton>
        <Button color="inherit" onClick={onPlayed} sx={{ mt: 1 }}>
          I have played again
        </Button>
      </>
    );
  if (damp !== null) return <CasedDamp damp={damp} busy={busy} onLayOut={onLayOut} onPlayed={onPlayed} />;
  return (
    <>
      <Typography variant="h1" sx={{ mb: 1 }}>
        Ready to play.
      </Typography>
      <Typography sx={{ mb: water.letOut || leftForLater.length > 0 ? 1 : 2.5 }}>{played}</Typography>
      {firstNote && <BeforeTheFirstNote firstNote={firstNote} busy={busy} onStart={onFinishLeft} />}
      {leftForLater.length > 0 && <LeftFromPackingUp left={leftForLater} busy={busy} onStart={onFinishLeft} />}
      {water.letOut && (
        <Box sx={{ mb: 1.5 }}>
          <WhyFold lines={water.letOut.because} about="when to let water out">
            <Typography component="span" sx={{ color: 'water.ink' }}>
              While playing, let water out about every {duration(water.letOut.minutes)}.
            </Typography>
          </WhyFold>
        </Box>
      )}
      <BrassButton onClick={onPlayed}>I have just played</BrassButton>
      <Button color="inherit" disabled={busy} onClick={() => onMakeReady()} sx={{ mt: 1.5 }}>
        {alone.usual === null ? 'Make ready to play' : `Make ready: ${alone.usual.name.toLowerCase()}`}
      </Button>
      {alone.usual !== null && (
        <Button color="inherit" disabled={busy} onClick={() => onMakeReady(null)}>
          Make ready: all of it
        </Button>
      )}
      <Button color="inherit" onClick={onBreak}>
        A break
      </Button>
      <SomethingWrong page={page} />
    </>
  );
}
