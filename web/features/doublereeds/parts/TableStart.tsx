import { Typography } from '@mui/material';
import { useState } from 'react';
import type { Noticed } from '#core/doublereeds/examination.ts';
import type { TableView } from '#contract/doublereeds.ts';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import type { Scrape } from '#core/reeds/reed.ts';

const SOAKED = [
  { value: '0', words: 'Now' },
  { value: '5', words: '5 min ago' },
  { value: '10', words: '10 min ago' },
] as const;

/** How the reeds of its box are scraped: asked once, where nobody has said it. */
export const AskScrape = ({
  table,
  busy,
  onScrape,
}: {
  readonly table: TableView;
  readonly busy: boolean;
  readonly onScrape: (scrape: Scrape) => void;
}) => (
  <Compartment>
    <Typography variant="h1" component="h2">
      How are the reeds of this box scraped?
    </Typography>
    <Text measured above={1}>
      What its crow should be depends on it. It stands on the box, or your teacher knows. It is asked once.
    </Text>
    <Grid columns={{ xs: '1fr', sm: '1fr 1fr 1fr' }} above={1.5}>
      {table.scrapes.map(({ scrape, words }) => (
        <AnswerButton key={scrape} disabled={busy} onClick={() => onScrape(scrape)}>
          {words}
        </AnswerButton>
      ))}
    </Grid>
  </Compartment>
);

type TableStartProps = {
  readonly table: TableView;
  readonly busy: boolean;
  /** What an interview has noticed already. */
  readonly known: readonly Noticed[];
  readonly onBegin: (said: { noticed: readonly Noticed[]; soakedMinutes: number }) => void;
};

/** Into the water first; what is noticed may be said, and need not. */
export function TableStart({ table, busy, known, onBegin }: TableStartProps) {
  const [noticed, setNoticed] = useState<readonly Noticed[]>(known);
  const [soaked, setSoaked] = useState<(typeof SOAKED)[number]['value']>('0');
  const toggle = (one: Noticed) =>
    setNoticed(noticed.includes(one) ? noticed.filter((other) => other !== one) : [...noticed, one]);
  return (
    <Compartment>
      <Typography variant="h1" component="h2">
        Lay it into water
      </Typography>
      <Text measured above={1}>
        Plain water of the room, up to the thread. Everything else follows once it is soaked.
      </Text>
      <Text strong above={2} below={0.5}>
        Do you notice anything?
      </Text>
      <Grid columns={{ xs: '1fr', sm: '1fr 1fr' }}>
        {table.noticed.map((one) => (
          <AnswerButton key={one.noticed} pressed={noticed.includes(one.noticed)} onClick={() => toggle(one.noticed)}>
            {one.words}
          </AnswerButton>
        ))}
      </Grid>
      <Space above={2} role="group" aria-label="It went into the water">
        <Text below={0.5}>It went into the water</Text>
        <Grid columns="1fr 1fr 1fr">
          {SOAKED.map(({ value, words }) => (
            <AnswerButton key={value} pressed={value === soaked} onClick={() => setSoaked(value)}>
              {words}
            </AnswerButton>
          ))}
        </Grid>
      </Space>
      <Row above={2}>
        <BrassButton size="large" disabled={busy} onClick={() => onBegin({ noticed, soakedMinutes: Number(soaked) })}>
          {soaked === '0' ? 'It is in the water' : 'Go on'}
        </BrassButton>
      </Row>
    </Compartment>
  );
}
