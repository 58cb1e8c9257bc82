import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { CASED_DAMP } from '#core/book/care-ids.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { InstrumentPage } from '#contract/care.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { MattersNow } from '#web/features/care/compartments/MattersNow.tsx';
import { callingOf } from '#web/features/care/parts/calling-of.ts';
import { instrumentPageQueries } from '#web/record/instrument-page.queries.ts';
import { conditionQueries } from '#web/features/conditions/conditions.queries.ts';
import { ConditionsNow } from '#web/features/conditions/parts/ConditionsNow.tsx';
import { useJustPlayed } from '#web/features/now/just-played.actions.ts';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { NOT_ON_THIS_SHELF, Problem } from '#web/ui/Problem.tsx';
import { Loading, QueryView } from '#web/ui/QueryView.tsx';
import { StripHead } from '#web/ui/StripHead.tsx';
import { pinsOf } from '#web/ui/strip-pins.ts';
import { Over, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { BenchAsks } from '#web/features/now/parts/BenchAsks.tsx';
import { NextAction } from '#web/features/now/parts/NextAction.tsx';

const [PlayedNow, fetchPlayed] = lazyPart(
  async () => (await import('#web/features/now/compartments/PlayedNow.tsx')).PlayedNow,
);

/** Of few instruments, and of those on few days: it comes along only then. */
const [DidItHelp] = lazyPart(async () => (await import('#web/features/faults/compartments/DidItHelp.tsx')).DidItHelp);

const [OnABreak] = lazyPart(async () => (await import('#web/features/breaks/compartments/OnABreak.tsx')).OnABreak);

const PAGE_HEIGHT = 560;

function Loaded({ page }: { readonly page: InstrumentPage }) {
  const today = useToday();
  const [sheet, setSheet] = useState(false);
  const [onABreak, setOnABreak] = useState(false);
  useEffect(() => {
    // It is a tap away: it is there before the finger is.
    void Promise.allSettled([fetchPlayed()]);
  }, []);
  const { instrument, clocks } = page;
  const played = useJustPlayed(instrument.id, instrument.playerId);
  const conditions = useQuery(conditionQueries.page(instrument.id, today));
  const along = callingOf(page).filter(({ goesAlong }) => goesAlong);
  const alongItems = along.map(({ itemId }) => itemId);
  const openSheet = () => {
    played.open();
    setSheet(true);
  };
  // What is in force stands above the next action: both are drawn in one go, so that nothing jumps under a finger.
  if (conditions.isPending) return <Loading height={PAGE_HEIGHT} />;
  return (
    <TwoColumns wide="right">
      <Over order={{ xs: 3, sm: 0 }}>
        <StripHead title={instrument.name} subtitle={instrument.kindName} segments={page.strip} pins={pinsOf(clocks)} />
      </Over>
      <Compartment sx={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-start' }}>
        {conditions.data && <ConditionsNow page={conditions.data} />}
        <NextAction
          page={page}
          onPlayed={openSheet}
          onPackUp={(minutes) => played.packUp(page.lastPlay?.key ?? null, alongItems, minutes)}
          onFinishLeft={played.finishLeft}
          onMakeReady={played.makeReady}
          onBreak={() => {
            played.open();
            setOnABreak(true);
          }}
          onLayOut={() => played.finishLeft([CASED_DAMP])}
          busy={played.busy}
        />
        <BenchAsks page={page} />
        {page.wrong && <DidItHelp page={page} />}
      </Compartment>
      <MattersNow page={page} />
      {onABreak && (
        <OnABreak
          page={page}
          busy={played.busy}
          onLog={(minutes) => played.logSoFar(minutes, page.alone.usual?.alone ?? null, () => setOnABreak(false))}
          onClose={() => setOnABreak(false)}
        />
      )}
      {sheet && <PlayedNow page={page} along={along} played={played} onClose={() => setSheet(false)} />}
    </TwoColumns>
  );
}

/** Now, for the instrument the address names. */
export const NowPage = () => <NowOf instrumentId={useInstrumentId()} />;

/** Now, for one instrument: the next action, and what calls for attention. */
export function NowOf({ instrumentId }: { readonly instrumentId: InstrumentId }) {
  const query = useQuery(instrumentPageQueries.of(instrumentId, useToday()));
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
