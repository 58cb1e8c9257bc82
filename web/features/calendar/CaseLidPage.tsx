import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { CaseLidSheet } from '#contract/case-lid.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { useToday } from '#web/clock/today.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';

/** On paper only the sheet is left, black on white, on one page. */
const PRINTED = `
@page { margin: 14mm }
@media print {
  html { font-size: 75% }
  header, nav, [data-not-printed] { display: none !important }
  main, main * { background: none !important; color: black !important; box-shadow: none !important }
  main { padding: 0 !important; border-radius: 0 !important }
}`;

type Day = CaseLidSheet['week'][number];

/** A box to tick for each thing of a day. */
const Days = ({ days }: { readonly days: readonly Day[] }) =>
  days.length === 0 ? (
    <Typography>Nothing falls due.</Typography>
  ) : (
    <PlainList>
      {days.map(({ on, names }) => (
        <Box component="li" key={on} sx={{ display: 'grid', gridTemplateColumns: '8.5em 1fr', gap: 1, py: 0.5 }}>
          <Typography sx={{ fontWeight: 650 }}>{FORMAT.weekdayDate(on)}</Typography>
          <Box>
            {names.map((name) => (
              <Typography key={name} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                <Box
                  component="span"
                  aria-hidden
                  sx={{ width: 14, height: 14, flex: 'none', border: '1.5px solid', borderColor: 'text.primary' }}
                />
                {name}
              </Typography>
            ))}
          </Box>
        </Box>
      ))}
    </PlainList>
  );

const Part = ({ title, children }: { readonly title: string; readonly children: React.ReactNode }) => (
  <Box component="section" sx={{ mt: 2, breakInside: 'avoid' }}>
    <Typography variant="h2" sx={{ borderBottom: '1.5px solid', borderColor: 'text.primary', pb: 0.25, mb: 0.75 }}>
      {title}
    </Typography>
    {children}
  </Box>
);

function SheetOf({ sheet }: { readonly sheet: CaseLidSheet }) {
  const { instrumentName, kindName, playerName, today, weekUntil, monthUntil, everyPlay, week, month, events, bench } =
    sheet;
  return (
    <Box sx={{ maxWidth: 720, mx: 'auto' }}>
      <style>{PRINTED}</style>
      <Box data-not-printed sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mb: 2 }}>
        <BrassButton onClick={() => window.print()}>Print it</BrassButton>
        <Button color="inherit" component={Link} to="/calendar">
          Back to the calendar
        </Button>
      </Box>
      <Typography variant="h1" sx={{ overflowWrap: 'anywhere' }}>
        {instrumentName}
      </Typography>
      <Typography sx={{ overflowWrap: 'anywhere' }}>
        {kindName === instrumentName ? '' : `${kindName}, `}
        {playerName}. From {FORMAT.weekdayDate(today)}.
      </Typography>
      <Part title="After every play">
        <Box component="ol" sx={{ m: 0, pl: 3, columns: { sm: 2 }, columnGap: 4 }}>
          {everyPlay.map((step, at) => (
            <Typography component="li" key={at} sx={{ breakInside: 'avoid' }}>
              {step}
            </Typography>
          ))}
        </Box>
      </Part>
      <Part title={`This week, until ${FORMAT.weekdayDate(weekUntil)}`}>
        <Days days={week} />
      </Part>
      <Part title={`The weeks after, until ${FORMAT.weekdayDate(monthUntil)}`}>
        <Days days={month} />
      </Part>
      {events.length > 0 && (
        <Part title="What is on">
          <PlainList sx={{ columns: { sm: 2 }, columnGap: 4 }}>
            {events.map(({ on, until, words }, at) => (
              <Typography component="li" key={at} sx={{ overflowWrap: 'anywhere' }}>
                {FORMAT.weekdayDate(on)}
                {until === on ? '' : ` to ${FORMAT.weekdayDate(until)}`}: {words}
              </Typography>
            ))}
          </PlainList>
        </Part>
      )}
      {bench !== null && (
        <Part title="The bench">
          <Typography>{bench}</Typography>
        </Part>
      )}
    </Box>
  );
}

/** The week and the month of one instrument on a page of paper, to lie in its case. */
export function CaseLidPage() {
  const instrumentId = useInstrumentId();
  const query = useQuery(calendarQueries.caseLid(instrumentId, useToday()));
  return (
    <QueryView query={query} height={520}>
      {(sheet) => <SheetOf sheet={sheet} />}
    </QueryView>
  );
}
