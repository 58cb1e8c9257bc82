import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { InstrumentPage } from '#contract/care.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { useCareActions, useForgetWetness } from '#web/features/care/care.actions.ts';
import { careQueries } from '#web/features/care/care.queries.ts';
import { WetnessBelief } from '#web/features/care/parts/WetnessBelief.tsx';
import { isDueAtHome } from '#web/features/care/due-at-home.ts';
import { CareRow } from '#web/features/care/parts/CareRow.tsx';
import { Closed, Methods, NeverDos } from '#web/features/care/parts/HeldTo.tsx';
import { StripWithSigns } from '#web/features/care/parts/StripWithSigns.tsx';
import { DoneDialog } from '#web/features/care/parts/DoneDialog.tsx';
import { useConditionActions } from '#web/features/conditions/conditions.actions.ts';
import { conditionQueries } from '#web/features/conditions/conditions.queries.ts';
import { useReadAir } from '#web/features/air/air.actions.ts';
import { airQueries } from '#web/features/air/air.queries.ts';
import { AirToday } from '#web/features/air/parts/AirToday.tsx';
import { StandingConditions } from '#web/features/conditions/parts/StandingConditions.tsx';
import { BuildForm } from '#web/features/instruments/parts/BuildForm.tsx';
import { useReviseBuild, useSetDeparture } from '#web/features/instruments/instruments.actions.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { duration } from '#core/explain/format.ts';
import { RecordOf } from '#web/features/record/compartments/RecordOf.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';

/** Illness, a new cork, dry air …: what changes what is due for a while. */
function ForAWhile({ instrumentId, playerId }: { readonly instrumentId: InstrumentId; readonly playerId: PlayerId }) {
  const today = useToday();
  const query = useQuery(conditionQueries.page(instrumentId, today));
  const actions = useConditionActions(instrumentId);
  const air = useReadAir();
  const read = useQuery(airQueries.of(playerId, today)).data?.read ?? null;
  return (
    <QueryView query={query} height={120}>
      {(page) => (
        <StandingConditions page={page} today={today} actions={actions}>
          {page.offers.some(({ asks }) => asks === 'air') && <AirToday playerId={playerId} read={read} air={air} />}
        </StandingConditions>
      )}
    </QueryView>
  );
}

/** How wet its player blows it, learned from "was the last pass dry?". */
function Wetness({ page: { instrument, wetness } }: { readonly page: InstrumentPage }) {
  const { forget, busy } = useForgetWetness(instrument.id);
  if (wetness === null) return null;
  return (
    <Compartment title="How wet you blow it">
      <WetnessBelief wetness={wetness} busy={busy} onReset={forget} />
    </Compartment>
  );
}

/** The build can be put right at any time; the clocks follow at once. */
function EditBuild({ instrument }: { readonly instrument: InstrumentPage['instrument'] }) {
  const [open, setOpen] = useState(false);
  const kinds = useQuery({ ...instrumentQueries.kinds(), enabled: open });
  const revise = useReviseBuild();
  const kind = kinds.data?.find(({ id }) => id === instrument.kind);
  const save = (build: Record<string, string>) =>
    revise.log(
      { instrumentId: instrument.id, build },
      { said: 'The build is saved. Its care follows it.', onLogged: () => setOpen(false) },
    );
  return (
    <>
      <Button color="inherit" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Close' : 'Edit the build'}
      </Button>
      {open && kind && <BuildForm kind={kind} build={instrument.build} busy={revise.busy} onSave={save} />}
    </>
  );
}

function About({ page: { instrument } }: { readonly page: InstrumentPage }) {
  const departure = useSetDeparture();
  const today = useToday();
  const set = (leftOn: LocalDate | null) =>
    departure.log(
      { instrumentId: instrument.id, leftOn },
      { said: `${instrument.name} ${leftOn === null ? 'is back on' : 'has left'} the shelf.` },
    );
  return (
    <Compartment title="This instrument">
      <Typography>{[instrument.kindName, ...instrument.buildWords.slice(1)].join(' · ')}</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        Came {instrument.cameNew ? 'new' : 'used'} on {FORMAT.date(instrument.acquiredOn)}
        {instrument.leftOn && `, left the shelf on ${FORMAT.date(instrument.leftOn)}`}.
      </Typography>
      <EditBuild instrument={instrument} />
      {instrument.leftOn === null ? (
        <Button color="inherit" disabled={departure.busy} onClick={() => set(today)}>
          Take it off the shelf
        </Button>
      ) : (
        <Button variant="outlined" color="inherit" disabled={departure.busy} onClick={() => set(null)}>
          Put it back on the shelf
        </Button>
      )}
    </Compartment>
  );
}

function Loaded({ page }: { readonly page: InstrumentPage }) {
  const today = useToday();
  const { instrument, clocks, calling, awayUntil } = page;
  const care = useCareActions(instrument.id, instrument.playerId);
  const periodic = clocks.filter(({ everyPlay }) => !everyPlay);
  const rank = (id: string) => (calling.includes(id) ? calling.indexOf(id) : calling.length);
  const running = periodic
    .filter(({ gauge }) => gauge.state !== 'as-seen' && gauge.state !== 'off')
    .toSorted((a, b) => rank(a.itemId) - rank(b.itemId) || (b.gauge.load ?? 0) - (a.gauge.load ?? 0));
  const asSeen = periodic.filter(({ gauge }) => gauge.state === 'as-seen');
  const off = periodic.filter(({ gauge }) => gauge.state === 'off');
  const dueAtHome = running.filter(isDueAtHome);
  const dueMinutes = dueAtHome.reduce((sum, { minutes }) => sum + minutes, 0);
  const list = (rows: typeof clocks) => (
    <PlainList>
      {rows.map((clock) => (
        <CareRow key={clock.itemId} clock={clock} today={today} actions={care} />
      ))}
    </PlainList>
  );
  return (
    <TwoColumns wide="left">
      <Box sx={{ gridColumn: '1 / -1', order: { xs: 1, sm: 0 } }}>
        <StripWithSigns page={page} actions={care} />
      </Box>
      <Column>
        {awayUntil !== null && (
          <Compartment>
            <Typography>
              It is at the bench until {FORMAT.weekdayDate(awayUntil)}. Its care waits until it is back.
            </Typography>
          </Compartment>
        )}
        <Compartment
          title="What is due, and when"
          aside={
            dueAtHome.length > 1 &&
            awayUntil === null && (
              <BrassButton
                disabled={care.busy}
                onClick={() => care.doNow(dueAtHome.map(({ itemId }) => itemId))}
                sx={{ minHeight: 48 }}
              >
                Do all {dueAtHome.length} in one go · about {duration(dueMinutes)}
              </BrassButton>
            )
          }
        >
          {list(running)}
        </Compartment>
        {asSeen.length > 0 && <Compartment title="When you see it">{list(asSeen)}</Compartment>}
        {off.length > 0 && <Compartment title="Not done here">{list(off)}</Compartment>}
      </Column>
      <Column last>
        <ForAWhile instrumentId={instrument.id} playerId={instrument.playerId} />
        <Methods page={page} />
        <RecordOf instrumentId={instrument.id} />
        <Wetness page={page} />
        <NeverDos page={page} />
        <About page={page} />
        <Closed page={page} />
      </Column>
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

/** Everything about one instrument's care: what is due and why, its record, and what is never done to it. */
export function CarePage() {
  const instrumentId = useInstrumentId();
  const query = useQuery(careQueries.page(instrumentId, useToday()));
  return (
    <QueryView query={query} height={560} missing={NOT_ON_THIS_SHELF}>
      {(page) => <Loaded page={page} />}
    </QueryView>
  );
}
