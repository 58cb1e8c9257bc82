import { Box, Button, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { addDays } from '#core/time/local-date.ts';
import type { InstrumentPage } from '#contract/care.ts';
import { newKey } from '#web/api/new-key.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { careQueries, useLogCare } from '#web/features/care/care.queries.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { useNotice } from '#web/ui/Notice.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';

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
  const logCare = useLogCare();
  const notice = useNotice();
  const [answers, setAnswers] = useState<Readonly<Record<string, number>>>({});
  const { instrument, clocks } = page;
  const [unknown] = useState(() => clocks.filter(({ gauge }) => gauge.state === 'unknown'));
  const toNow = () => void navigate(`/now/${instrument.id}`);
  const save = async () => {
    try {
      for (const { itemId, atBench } of unknown) {
        const days = answers[itemId];
        if (days === undefined) continue;
        const by = atBench ? 'bench' : 'player';
        const doneOn = addDays(today, -days);
        await logCare.mutateAsync({ key: newKey(), instrumentId: instrument.id, itemId, doneOn, by, now: wallNow() });
      }
      toNow();
    } catch (error) {
      notice({ text: (error as Error).message, tone: 'failed' });
    }
  };
  return (
    <Box sx={{ maxWidth: 860, mx: 'auto', display: 'grid', gap: 2 }}>
      <Typography variant="h1">{instrument.name}: what was last done?</Typography>
      <Compartment>
        <Typography sx={{ mb: 1.5 }}>
          About is good enough. What nobody knows stays “not known” and asks again; it is never taken for fresh.
        </Typography>
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1.5 }}>
          {unknown.map(({ itemId, name }) => (
            <Box component="li" key={itemId}>
              <Typography id={`ago-${itemId}`} sx={{ fontWeight: 650, mb: 0.5 }}>
                {name}
              </Typography>
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
                  <ToggleButton
                    key={words}
                    value={days ?? 'none'}
                    sx={{ minHeight: 44, textTransform: 'none', color: 'text.primary', px: 1.25 }}
                  >
                    {words}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            </Box>
          ))}
        </Box>
        <Box sx={{ display: 'flex', gap: 1.5, mt: 2.5, flexWrap: 'wrap' }}>
          <BrassButton disabled={logCare.isPending} onClick={() => void save()}>
            That is all I know
          </BrassButton>
          <Button color="inherit" onClick={toNow}>
            Ask me later
          </Button>
        </Box>
      </Compartment>
    </Box>
  );
}

/** Asked once when a used instrument comes: what was last done and when, or "don't know". */
export function HistoryPage() {
  const { instrumentId = '' } = useParams();
  const query = useQuery(careQueries.page(instrumentId, useToday()));
  return (
    <QueryView query={query} height={400}>
      {(page) => <Loaded page={page} />}
    </QueryView>
  );
}
