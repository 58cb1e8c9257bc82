import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { CaseLidSheet } from '#contract/case-lid.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { useToday } from '#web/clock/today.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { Actions } from '#web/ui/Actions.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { PaperLines, PaperPart } from '#web/ui/Paper.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { TickBox } from '#web/ui/TickBox.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';

type Day = CaseLidSheet['week'][number];

/** A box to tick for each thing of a day. */
const Days = ({ days }: { readonly days: readonly Day[] }) =>
  days.length === 0 ? (
    <Typography>Nothing falls due.</Typography>
  ) : (
    <PlainList>
      {days.map(({ on, names }) => (
        <Box component="li" key={on} sx={{ display: 'grid', gridTemplateColumns: '8.5em 1fr', gap: 1, py: 0.5 }}>
          <Text strong>{FORMAT.weekdayDate(on)}</Text>
          <Box>
            {names.map((name) => (
              <Row key={name} align="center">
                <TickBox />
                {name}
              </Row>
            ))}
          </Box>
        </Box>
      ))}
    </PlainList>
  );

/** What the weeks bring, by their days. */
function Weeks({ sheet }: { readonly sheet: CaseLidSheet }) {
  const { weekUntil, monthUntil, everyPlay, week, month, events, bench } = sheet;
  return (
    <>
      <PaperPart title="After every play">
        <PaperLines ordered lines={everyPlay} />
      </PaperPart>
      <PaperPart title={`This week, until ${FORMAT.weekdayDate(weekUntil)}`}>
        <Days days={week} />
      </PaperPart>
      <PaperPart title={`The weeks after, until ${FORMAT.weekdayDate(monthUntil)}`}>
        <Days days={month} />
      </PaperPart>
      {events.length > 0 && (
        <PaperPart title="What is on">
          <PaperLines
            lines={events.map(
              ({ on, until, words }) =>
                `${FORMAT.weekdayDate(on)}${until === on ? '' : ` to ${FORMAT.weekdayDate(until)}`}: ${words}`,
            )}
          />
        </PaperPart>
      )}
      {bench !== null && (
        <PaperPart title="The bench">
          <Typography>{bench}</Typography>
        </PaperPart>
      )}
    </>
  );
}

/** How it is looked after, without a date: it lies in the case for a year. */
function RoutineOf({ routine: { before, after, every, never } }: Pick<CaseLidSheet, 'routine'>) {
  const parts = [
    ['Before you play', before, true],
    ['After you play', after, true],
    ['Each week', every.weekly, false],
    ['Each month', every.monthly, false],
    ['Through the year', every.yearly, false],
    ['Never', never, false],
  ] as const;
  return (
    <>
      {parts.map(
        ([title, lines, ordered]) =>
          lines.length > 0 && (
            <PaperPart key={title} title={title}>
              <PaperLines lines={lines} {...(ordered && { ordered })} />
            </PaperPart>
          ),
      )}
    </>
  );
}

const SHEETS = [
  { value: 'weeks', words: 'The weeks ahead' },
  { value: 'routine', words: 'The routine' },
] as const;

function SheetOf({ sheet }: { readonly sheet: CaseLidSheet }) {
  const { instrumentName, kindName, playerName, today } = sheet;
  const [which, setWhich] = useState<(typeof SHEETS)[number]['value']>('weeks');
  return (
    <Space width={720}>
      <Grid data-not-printed gap={2} below={2}>
        <ChooseOne label="Which sheet" options={SHEETS} value={which} onChange={setWhich} />
        <Actions>
          <BrassButton onClick={() => window.print()}>Print it</BrassButton>
          <Button color="inherit" component={Link} to="/calendar">
            Back to the calendar
          </Button>
        </Actions>
      </Grid>
      <Typography variant="h1">{instrumentName}</Typography>
      <Typography>
        {kindName === instrumentName ? '' : `${kindName}, `}
        {playerName}.{' '}
        {which === 'weeks' ? `From ${FORMAT.weekdayDate(today)}.` : 'The label, the maker and the bench overrule this.'}
      </Typography>
      {which === 'weeks' ? <Weeks sheet={sheet} /> : <RoutineOf routine={sheet.routine} />}
    </Space>
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
