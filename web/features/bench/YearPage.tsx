import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { YearOfInstrument } from '#contract/bench.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { benchQueries } from '#web/features/bench/bench.queries.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { Actions } from '#web/ui/Actions.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Space } from '#web/ui/layout.tsx';
import { PaperLines, PaperPart } from '#web/ui/Paper.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';

const PARTS = [
  ['stays', 'At the bench'],
  ['bills', 'Bills and quotes'],
  ['readings', 'What was measured'],
  ['wrong', 'What was wrong'],
  ['coming', 'What is to come'],
] as const satisfies readonly (readonly [keyof YearOfInstrument, string])[];

function YearOf({ year }: { readonly year: YearOfInstrument }) {
  const { instrument, kindName, player, serial, from, today, sums } = year;
  return (
    <Space width={760}>
      <Space data-not-printed below={2}>
        <Actions>
          <BrassButton onClick={() => window.print()}>Print it</BrassButton>
          <Button color="inherit" component={Link} to={`/bench/${year.instrumentId}`}>
            Back to {instrument}
          </Button>
        </Actions>
      </Space>
      <Typography variant="h1">{instrument}: twelve months</Typography>
      <Typography>
        {kindName}, played by {player}. {FORMAT.date(from)} to {FORMAT.date(today)}.
        {serial !== null && ` Serial number ${serial}.`}
      </Typography>
      <Space above={1}>
        {sums.map((sum) => (
          <Typography key={sum}>{sum}</Typography>
        ))}
      </Space>
      {PARTS.map(
        ([part, title]) =>
          year[part].length > 0 && (
            <PaperPart key={part} title={title}>
              <PaperLines
                long
                lines={year[part].map(({ name, text }) => (
                  <>
                    <strong>{name}:</strong> {text}
                  </>
                ))}
              />
            </PaperPart>
          ),
      )}
    </Space>
  );
}

/** A year of an instrument on one page, for whoever pays. */
export function YearPage() {
  const query = useQuery(benchQueries.year(useInstrumentId(), useToday()));
  return (
    <QueryView query={query} height={560} missing={NOT_ON_THIS_SHELF}>
      {(year) => <YearOf year={year} />}
    </QueryView>
  );
}
