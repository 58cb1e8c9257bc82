import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState, type ComponentProps } from 'react';
import { listed } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { BenchView, ForTheBenchView, OpenStayView } from '#contract/bench.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useBenchTerms, useEvent } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { BenchTermsSheet } from '#web/features/calendar/parts/BenchTermsSheet.tsx';
import { StaySheet } from '#web/features/calendar/parts/StaySheet.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Space } from '#web/ui/layout.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

/** Asks for the regions once somebody opens it. */
function MyBench(props: Omit<ComponentProps<typeof BenchTermsSheet>, 'regions'>) {
  const { data: regions = [] } = useQuery(calendarQueries.regions());
  return <BenchTermsSheet {...props} regions={regions} />;
}

type RowProps = { readonly one: ForTheBenchView; readonly busy: boolean; readonly onPlan: () => void };

/** When one instrument should go, with the way to put it in the calendar. */
const Row = ({ one, busy, onPlan }: RowProps) => (
  <PlainRow>
    <Text strong>
      {one.name}: {listed(one.items.map(({ name }) => name.toLowerCase()))}
    </Text>
    <Typography>{one.headline}</Typography>
    <Typography variant="body2" color="text.secondary">
      {one.words}
    </Typography>
    <WhyFold lines={one.because} about={`when ${one.name} goes to the bench`} />
    {one.best && (
      <Button
        variant="outlined"
        color="inherit"
        disabled={busy}
        onClick={onPlan}
        aria-label={`Put ${FORMAT.weekdayDate(one.best.on)} in the calendar: ${one.name}`}
      >
        Put {FORMAT.weekdayDate(one.best.on)} in the calendar
      </Button>
    )}
  </PlainRow>
);

/** An instrument that is there, or was, with the way to say that it is back. */
const AwayRow = ({ stay, onBack }: { readonly stay: OpenStayView; readonly onBack: () => void }) => (
  <PlainRow>
    <Text strong>{listed(stay.instruments.map(({ name }) => name))}: at the bench</Text>
    <Typography>
      {stay.words}, {FORMAT.weekdayDate(stay.on)} to {FORMAT.weekdayDate(stay.until)}.
    </Typography>
    <Space above={1}>
      <Button variant="outlined" color="inherit" onClick={onBack} aria-label={`It is back: ${stay.words}`}>
        It is back
      </Button>
    </Space>
  </PlainRow>
);

type Sheets = { readonly kind: 'terms' } | { readonly kind: 'back'; readonly stay: OpenStayView };

const Empty = () => (
  <Typography color="text.secondary">
    Nothing is for the bench in the next half year. Once something is, Ulu says on which day between concerts it goes.
  </Typography>
);

function Loaded({ view, playerId }: { readonly view: BenchView; readonly playerId: PlayerId }) {
  const [sheet, setSheet] = useState<Sheets | null>(null);
  const [event, terms] = [useEvent(), useBenchTerms()];
  const open = (what: Sheets) => {
    event.open();
    terms.open();
    setSheet(what);
  };
  const close = () => setSheet(null);
  const plan = ({ instrumentId, name, best }: ForTheBenchView) => {
    if (!best) return;
    event.open();
    event.log(
      {
        playerId,
        what: 'bench',
        on: best.on,
        until: best.back,
        minutes: null,
        name: null,
        instrumentIds: [instrumentId],
      },
      { said: `${name} goes to the bench on ${FORMAT.weekdayDate(best.on)}.` },
    );
  };
  const { instruments, stays, unknown, currency, today } = view;
  return (
    <Compartment
      title="To the bench"
      aside={
        <Button color="inherit" onClick={() => open({ kind: 'terms' })}>
          My bench
        </Button>
      }
    >
      {instruments.length + stays.length === 0 && <Empty />}
      <PlainList>
        {stays.map((stay) => (
          <AwayRow key={stay.key} stay={stay} onBack={() => open({ kind: 'back', stay })} />
        ))}
        {instruments.map((one) => (
          <Row key={one.instrumentId} one={one} busy={event.busy} onPlan={() => plan(one)} />
        ))}
      </PlainList>
      {unknown.map(({ instrumentId, name }) => (
        <Text key={instrumentId} variant="body2" above={1}>
          Nobody knows when the bench last had {name}. <TallLink to={`/care/${instrumentId}`}>Say when</TallLink>
        </Text>
      ))}
      {sheet?.kind === 'terms' && <MyBench playerId={playerId} terms={view.terms} kept={terms} onClose={close} />}
      {sheet?.kind === 'back' && (
        <StaySheet
          playerId={playerId}
          stay={sheet.stay}
          currency={currency}
          today={today}
          event={event}
          onClose={close}
        />
      )}
    </Compartment>
  );
}

/** When the instruments of a player should go to the bench, and what is there now. */
export function ToTheBench({ playerId, today }: { readonly playerId: PlayerId; readonly today: LocalDate }) {
  const { data: view } = useQuery(calendarQueries.bench(playerId, today));
  return view ? <Loaded view={view} playerId={playerId} /> : <Space height={120} />;
}
