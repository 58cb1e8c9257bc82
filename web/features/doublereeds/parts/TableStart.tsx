import { Chip, Typography } from '@mui/material';
import { useState } from 'react';
import type { Noticed } from '#core/doublereeds/examination.ts';
import type { TableView } from '#contract/doublereeds.ts';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';
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
      <Row wrap>
        {table.noticed.map((one) => (
          <Chip
            key={one.noticed}
            label={one.words}
            variant={noticed.includes(one.noticed) ? 'filled' : 'outlined'}
            aria-pressed={noticed.includes(one.noticed)}
            onClick={() => toggle(one.noticed)}
          />
        ))}
      </Row>
      <Grid above={2} gap={2}>
        <ChooseOne label="It went into the water" options={SOAKED} value={soaked} onChange={setSoaked} />
      </Grid>
      <Row above={2}>
        <BrassButton size="large" disabled={busy} onClick={() => onBegin({ noticed, soakedMinutes: Number(soaked) })}>
          {soaked === '0' ? 'It is in the water' : 'Go on'}
        </BrassButton>
      </Row>
    </Compartment>
  );
}
