import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { InstrumentPage } from '#contract/care.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { useCareActions } from '#web/features/care/care.actions.ts';
import { instrumentPageQueries } from '#web/record/instrument-page.queries.ts';
import { careWaits } from '#web/features/care/parts/care-waits.ts';
import { CareRow } from '#web/features/care/parts/CareRow.tsx';
import { Closed, Methods, NeverDos } from '#web/features/care/parts/HeldTo.tsx';
import { StripWithSigns } from '#web/features/care/parts/StripWithSigns.tsx';
import { AskedDone } from '#web/features/care/parts/AskedDone.tsx';
import { duration } from '#core/explain/format.ts';
import { RecordOf } from '#web/features/record/compartments/RecordOf.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Column, Over, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { ForAWhile } from '#web/features/conditions/compartments/ForAWhile.tsx';
import { Wetness } from '#web/features/care/compartments/Wetness.tsx';
import { AboutInstrument } from '#web/features/instruments/compartments/AboutInstrument.tsx';
import { Text } from '#web/ui/Text.tsx';

function Loaded({ page }: { readonly page: InstrumentPage }) {
  const today = useToday();
  const { instrument, clocks, calling, awayUntil, goesToday, stopped } = page;
  const care = useCareActions(instrument.id, instrument.playerId);
  const waits = careWaits(page);
  const periodic = clocks.filter(({ everyPlay }) => !everyPlay);
  const rank = (id: string) => (calling.includes(id) ? calling.indexOf(id) : calling.length);
  const running = periodic
    .filter(({ gauge }) => gauge.state !== 'as-seen' && gauge.state !== 'off')
    .toSorted((a, b) => rank(a.itemId) - rank(b.itemId) || (b.gauge.load ?? 0) - (a.gauge.load ?? 0));
  const asSeen = periodic.filter(({ gauge }) => gauge.state === 'as-seen');
  const noticed = asSeen.filter(({ signs }) => signs.length > 0);
  // What nobody notices, and is done all the same: a look at what is new to its player.
  const atTimes = asSeen.filter(({ signs }) => signs.length === 0);
  const off = periodic.filter(({ gauge }) => gauge.state === 'off');
  const atHome = running.filter(({ dueAtHome }) => dueAtHome);
  const dueMinutes = atHome.reduce((sum, { minutes }) => sum + minutes, 0);
  const list = (rows: typeof clocks) => (
    <PlainList>
      {rows.map((clock) => (
        <CareRow key={clock.itemId} clock={clock} today={today} actions={care} />
      ))}
    </PlainList>
  );
  return (
    <TwoColumns wide="left">
      <Over order={{ xs: 1, sm: 0 }}>
        <StripWithSigns page={page} actions={care} />
      </Over>
      <Column>
        {awayUntil !== null && (
          <Compartment>
            <Typography>
              {goesToday ? 'It goes to the bench today, and is expected back on ' : 'It is at the bench until '}
              {FORMAT.weekdayDate(awayUntil)}. Its care waits until it is back.
            </Typography>
          </Compartment>
        )}
        {stopped && (
          <Compartment danger>
            <Text strong>{stopped.heading}.</Text>
            <Typography>
              {stopped.meanwhile}
              {waits && ` Its care ${waits}.`}
            </Typography>
            <Button color="inherit" {...{ component: Link, to: `/faults/${instrument.id}` }}>
              See what it is
            </Button>
          </Compartment>
        )}
        <Compartment
          title="What is due, and when"
          aside={
            atHome.length > 1 && (
              <BrassButton disabled={care.busy} onClick={() => care.doNow(atHome.map(({ itemId }) => itemId))}>
                Do all {atHome.length} in one go · about {duration(dueMinutes)}
              </BrassButton>
            )
          }
        >
          {list(running)}
        </Compartment>
        {noticed.length > 0 && <Compartment title="When you notice it">{list(noticed)}</Compartment>}
        {atTimes.length > 0 && <Compartment title="When there is a reason">{list(atTimes)}</Compartment>}
        {off.length > 0 && <Compartment title="Not done here">{list(off)}</Compartment>}
      </Column>
      <Column last>
        <ForAWhile instrumentId={instrument.id} playerId={instrument.playerId} />
        <Methods page={page} />
        <RecordOf instrumentId={instrument.id} />
        <Wetness page={page} />
        <NeverDos page={page} />
        <AboutInstrument page={page} />
        <Closed page={page} />
      </Column>
      <AskedDone care={care} instrument={instrument} />
    </TwoColumns>
  );
}

/** Everything about one instrument's care: what is due and why, its record, and what is never done to it. */
export function CarePage() {
  const instrumentId = useInstrumentId();
  const query = useQuery(instrumentPageQueries.of(instrumentId, useToday()));
  return (
    <QueryView query={query} height={560} missing={NOT_ON_THIS_SHELF}>
      {(page) => <Loaded page={page} />}
    </QueryView>
  );
}
