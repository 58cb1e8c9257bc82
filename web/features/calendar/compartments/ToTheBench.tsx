import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState, type ComponentProps } from 'react';
import { listed } from '#core/explain/format.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { BenchView, ForTheBenchView, OpenStayView } from '#contract/bench.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useBenchTerms, useEvent } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { BenchTermsSheet } from '#web/features/calendar/parts/BenchTermsSheet.tsx';
import { StaySheet } from '#web/features/calendar/parts/StaySheet.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { useWhyFold, WhyFold } from '#web/ui/WhyFold.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Grid, Space } from '#web/ui/layout.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

/** Asks for the regions once somebody opens it. */
function MyBench(props: Omit<ComponentProps<typeof BenchTermsSheet>, 'regions'>) {
  const { data: regions = [] } = useQuery(calendarQueries.regions());
  return <BenchTermsSheet {...props} regions={regions} />;
}

type BenchDayView = ForTheBenchView['days'][number];
type RowProps = {
  readonly one: ForTheBenchView;
  readonly busy: boolean;
  readonly onPlan: (day: BenchDayView) => void;
};

type DayRowProps = {
  readonly day: BenchDayView;
  readonly name: string;
  readonly busy: boolean;
  readonly onPlan: () => void;
  /** What is said of it, where that is more than from when to when. */
  readonly words?: string;
  readonly because: ForTheBenchView['because'];
};

const fromTo = ({ on, back }: BenchDayView) => (
  <>
    {FORMAT.weekdayDate(on)}
    {back !== on && <Quiet> to {FORMAT.weekdayDate(back)}</Quiet>}
  </>
);

/** One of the days that are offered, with what it costs and the way to put it in the calendar. */
function DayRow({ day, name, busy, onPlan, words, because }: DayRowProps) {
  const when = FORMAT.weekdayDate(day.on);
  const { button, fold } = useWhyFold({ lines: because, about: `${when}, ${name}` });
  return (
    <Grid columns="1fr auto" gap={1} align="center">
      <Typography>
        {words ?? fromTo(day)}
        <br />
        <Quiet small>{day.words}</Quiet> {button}
      </Typography>
      <Button
        variant="outlined"
        color="inherit"
        disabled={busy}
        onClick={onPlan}
        aria-label={`Take this day: ${when}, ${name}`}
      >
        Take this day
      </Button>
      {fold}
    </Grid>
  );
}

/** When one instrument should go, with the way to put it in the calendar; the best day first, others when asked for. */
function Row({ one, busy, onPlan }: RowProps) {
  const [all, setAll] = useState(false);
  const { name, headline, because, jobs } = one;
  const [best, ...others] = one.days;
  const otherDays = others.length === 1 ? 'Another day' : `${others.length} other days`;
  return (
    <PlainRow>
      <Text strong>
        {name}: {listed(jobs.map((job) => job.name.toLowerCase()))}
      </Text>
      {best ? (
        <DayRow
          {...{ day: best, name, busy, words: headline, because: [...because, ...best.because] }}
          onPlan={() => onPlan(best)}
        />
      ) : (
        <WhyFold lines={because} about={`when ${name} goes to the bench`}>
          {headline}
        </WhyFold>
      )}
      {all &&
        others.map((day) => (
          <DayRow key={day.on} {...{ day, name, busy, because: day.because }} onPlan={() => onPlan(day)} />
        ))}
      {!all && others.length > 0 && (
        <Button size="small" color="inherit" aria-label={`${otherDays}: ${name}`} onClick={() => setAll(true)}>
          {otherDays}
        </Button>
      )}
    </PlainRow>
  );
}

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

type LoadedProps = {
  readonly view: BenchView;
  readonly playerId: PlayerId;
  /** The instrument the page is about: it comes first. */
  readonly about: InstrumentId | null;
};

function Loaded({ view, playerId, about }: LoadedProps) {
  const [sheet, setSheet] = useState<Sheets | null>(null);
  const [event, terms] = [useEvent(), useBenchTerms()];
  const open = (what: Sheets) => {
    event.open();
    terms.open();
    setSheet(what);
  };
  const close = () => setSheet(null);
  const plan = ({ instrumentId, name }: ForTheBenchView, best: BenchDayView) => {
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
        {instruments
          .toSorted((a, b) => Number(b.instrumentId === about) - Number(a.instrumentId === about))
          .map((one) => (
            <Row key={one.instrumentId} one={one} busy={event.busy} onPlan={(day) => plan(one, day)} />
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

type ToTheBenchProps = { readonly playerId: PlayerId; readonly today: LocalDate; readonly about?: InstrumentId };

/** When the instruments of a player should go to the bench, and what is there now. */
export function ToTheBench({ playerId, today, about }: ToTheBenchProps) {
  const { data: view } = useQuery(calendarQueries.bench(playerId, today));
  return view ? <Loaded view={view} playerId={playerId} about={about ?? null} /> : <Space height={120} />;
}
