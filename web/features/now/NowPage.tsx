import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { InstrumentPage } from '#contract/care.ts';
import { duration, listed } from '#core/explain/format.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { useCareActions } from '#web/features/care/care.actions.ts';
import { careQueries } from '#web/features/care/care.queries.ts';
import { CareRow } from '#web/features/care/parts/CareRow.tsx';
import { conditionQueries } from '#web/features/conditions/conditions.queries.ts';
import { ConditionsNow } from '#web/features/conditions/parts/ConditionsNow.tsx';
import { useJustPlayed } from '#web/features/now/just-played.actions.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { MinutesAtHand } from '#web/ui/MinutesAtHand.tsx';
import { NOT_ON_THIS_SHELF, Problem } from '#web/ui/Problem.tsx';
import { Loading, QueryView } from '#web/ui/QueryView.tsx';
import { StripHead } from '#web/ui/StripHead.tsx';
import { pinsOf } from '#web/ui/strip-pins.ts';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { TwoColumns } from '#web/ui/TwoColumns.tsx';

const [DoneDialog, fetchDone] = lazyPart(
  async () => (await import('#web/features/care/parts/DoneDialog.tsx')).DoneDialog,
);
const [PlayedNow, fetchPlayed] = lazyPart(async () => (await import('#web/features/now/PlayedNow.tsx')).PlayedNow);

const SHOWN = 4;
const PAGE_HEIGHT = 560;

/** The one thing to do now, big. */
function NextAction({
  page,
  onPlayed,
  onPackUp,
  onFinishLeft,
  onMakeReady,
  busy,
}: {
  readonly page: InstrumentPage;
  readonly onPlayed: () => void;
  readonly onPackUp: (minutesAtHand: number | null) => void;
  readonly onFinishLeft: (itemIds: readonly CareItemId[]) => void;
  readonly onMakeReady: () => void;
  readonly busy: boolean;
}) {
  const { instrument, openRunKey, awaitsPackUp, leftForLater, lastPlay, water } = page;
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
              About {FORMAT.grams(water.grams)} of water stand in it.
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
  return (
    <>
      <Typography variant="h1" sx={{ mb: 1 }}>
        Ready to play.
      </Typography>
      <Typography sx={{ mb: water.letOut || leftForLater.length > 0 ? 1 : 2.5 }}>{played}</Typography>
      {leftForLater.length > 0 && (
        <Box sx={{ mb: 2, display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
          <Typography>Left from packing up: {listed(leftForLater.map(({ name }) => name.toLowerCase()))}.</Typography>
          <Button
            variant="outlined"
            color="inherit"
            disabled={busy}
            onClick={() => onFinishLeft(leftForLater.map(({ itemId }) => itemId))}
          >
            Do it now
          </Button>
        </Box>
      )}
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
      <Button color="inherit" disabled={busy} onClick={onMakeReady} sx={{ mt: 1.5 }}>
        Make ready to play
      </Button>
    </>
  );
}

function Loaded({ page }: { readonly page: InstrumentPage }) {
  const today = useToday();
  const [sheet, setSheet] = useState(false);
  useEffect(() => {
    // Both are a tap away: they are there before the finger is.
    void Promise.allSettled([fetchDone(), fetchPlayed()]);
  }, []);
  const { instrument, clocks, calling } = page;
  const played = useJustPlayed(instrument.id, instrument.playerId);
  const care = useCareActions(instrument.id, instrument.playerId);
  const conditions = useQuery(conditionQueries.page(instrument.id, today));
  const pressing = calling.flatMap((id) => clocks.find(({ itemId }) => itemId === id) ?? []);
  // What somebody has noticed never falls off the page.
  const shown = Math.max(SHOWN, pressing.filter(({ noticed }) => noticed).length);
  const along = pressing.filter(
    ({ withPackUp, gauge: { state }, hands }) =>
      withPackUp && (state === 'due' || state === 'overdue') && hands !== 'bench',
  );
  const alongItems = along.map(({ itemId }) => itemId);
  const openSheet = () => {
    played.open();
    setSheet(true);
  };
  // What is in force stands above the next action: both are drawn in one go, so that nothing jumps under a finger.
  if (conditions.isPending) return <Loading height={PAGE_HEIGHT} />;
  return (
    <TwoColumns wide="right">
      <Box sx={{ gridColumn: '1 / -1', order: { xs: 3, sm: 0 } }}>
        <StripHead title={instrument.name} subtitle={instrument.kindName} segments={page.strip} pins={pinsOf(clocks)} />
      </Box>
      <Compartment sx={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-start' }}>
        {conditions.data && <ConditionsNow page={conditions.data} />}
        <NextAction
          page={page}
          onPlayed={openSheet}
          onPackUp={(minutes) => played.packUp(page.lastPlay?.key ?? null, alongItems, minutes)}
          onFinishLeft={played.finishLeft}
          onMakeReady={played.makeReady}
          busy={played.busy}
        />
      </Compartment>
      <Compartment
        title="What matters now"
        aside={
          <Button {...{ component: Link, to: `/care/${instrument.id}` }} color="inherit">
            All care
          </Button>
        }
      >
        {pressing.length === 0 && <Typography>Nothing is due. All regular care is done.</Typography>}
        <PlainList>
          {pressing.slice(0, shown).map((clock) => (
            <CareRow key={clock.itemId} clock={clock} today={today} actions={care} />
          ))}
        </PlainList>
        {pressing.length > shown && (
          <Typography variant="body2" color="text.secondary">
            and {pressing.length - shown} more under Care
          </Typography>
        )}
      </Compartment>
      {sheet && <PlayedNow page={page} along={along} played={played} onClose={() => setSheet(false)} />}
      {care.asked && (
        <DoneDialog
          clock={care.asked}
          today={today}
          acquiredOn={instrument.acquiredOn}
          problem={care.problem}
          busy={care.busy}
          onDone={care.done}
          onClose={() => care.ask(null)}
        />
      )}
    </TwoColumns>
  );
}

/** Now, for the instrument the address names. */
export const NowPage = () => <NowOf instrumentId={useInstrumentId()} />;

/** Now, for one instrument: the next action, and what calls for attention. */
export function NowOf({ instrumentId }: { readonly instrumentId: InstrumentId }) {
  const query = useQuery(careQueries.page(instrumentId, useToday()));
  return (
    <QueryView query={query} height={PAGE_HEIGHT} missing={NOT_ON_THIS_SHELF}>
      {(page) =>
        page.instrument.leftOn === null ? (
          <Loaded page={page} />
        ) : (
          <Problem
            title={`${page.instrument.name} has left the shelf`}
            text={`It left on ${FORMAT.weekdayDate(page.instrument.leftOn)}. Its record is kept, and it can be put back.`}
            to={`/care/${page.instrument.id}`}
            action="See its record"
          />
        )
      }
    </QueryView>
  );
}
