import { Alert, Box, Button, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { addDays } from '#core/time/local-date.ts';
import type { InstrumentPage } from '#contract/care.ts';
import { useToday } from '#web/clock/today.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { useLogLastDone } from '#web/features/care/care.actions.ts';
import { instrumentPageQueries } from '#web/record/instrument-page.queries.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

/** About how long ago; nobody remembers the day. */
const AGO = [
  { days: null, words: 'Don’t know' },
  { days: 3, words: 'This week' },
  { days: 21, words: 'This month' },
  { days: 75, words: '2–3 months' },
  { days: 180, words: 'Half a year' },
  { days: 365, words: 'A year' },
] as const;

function Loaded({ page }: { readonly page: InstrumentPage }) {
  const today = useToday();
  const navigate = useNavigate();
  const history = useLogLastDone();
  const [answers, setAnswers] = useState<Readonly<Record<string, number>>>({});
  const { instrument, clocks } = page;
  const [unknown] = useState(() => clocks.filter(({ gauge }) => gauge.state === 'unknown'));
  const toNow = () => void navigate(`/now/${instrument.id}`);
  const save = () => {
    const items = unknown.flatMap(({ itemId, atBench }) => {
      const days = answers[itemId];
      if (days === undefined) return [];
      return [{ itemId, doneOn: addDays(today, -days), by: atBench ? ('bench' as const) : ('player' as const) }];
    });
    if (items.length === 0) return toNow();
    history.log({ instrumentId: instrument.id, items }, { said: 'Noted, as far as you remember.', onLogged: toNow });
    return undefined;
  };
  return (
    <Grid gap={2} width={860}>
      <Typography variant="h1">{instrument.name}: what was last done?</Typography>
      <Compartment>
        <Text below={1.5}>
          About is good enough. What nobody knows stays “not known” and asks again; it is never taken for fresh.
        </Text>
        <PlainList gap={1.5}>
          {unknown.map(({ itemId, name }) => (
            <Box component="li" key={itemId}>
              <Text id={`ago-${itemId}`} strong below={0.5}>
                {name}
              </Text>
              <ToggleButtonGroup
                exclusive
                value={answers[itemId] ?? 'none'}
                onChange={(_event, next: number | 'none' | null) => {
                  const { [itemId]: _dropped, ...rest } = answers;
                  if (next !== null) setAnswers(next === 'none' ? rest : { ...rest, [itemId]: next });
                }}
                aria-labelledby={`ago-${itemId}`}
                sx={{ flexWrap: 'wrap' }}
              >
                {AGO.map(({ days, words }) => (
                  <ToggleButton key={words} value={days ?? 'none'}>
                    {words}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            </Box>
          ))}
        </PlainList>
        {history.problem && (
          <Space above={2}>
            <Alert severity="error">{history.problem}</Alert>
          </Space>
        )}
        <Row gap={1.5} wrap above={2.5}>
          <BrassButton disabled={history.busy} onClick={save}>
            That is all I know
          </BrassButton>
          <Button color="inherit" onClick={toNow}>
            Ask me later
          </Button>
        </Row>
      </Compartment>
    </Grid>
  );
}

/** Asked once when a used instrument comes: what was last done and when, or "don't know". */
export function HistoryPage() {
  const instrumentId = useInstrumentId();
  const query = useQuery(instrumentPageQueries.of(instrumentId, useToday()));
  return (
    <QueryView query={query} height={400}>
      {(page) => <Loaded page={page} />}
    </QueryView>
  );
}
