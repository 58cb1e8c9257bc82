import { Alert, Box, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { dilute, dilutionRefusalWords, measured } from '#core/agents/dilution.ts';
import { Grid, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

const FIELDS = [
  { field: 'stockPercent', label: 'The bottle holds, %' },
  { field: 'targetPercent', label: 'You want, %' },
  { field: 'finalMl', label: 'How much, mL' },
] as const;
type Field = (typeof FIELDS)[number]['field'];

/** A typed figure, with a comma or a point; NaN for what is none. */
const typed = (text: string): number => (text.trim() === '' ? NaN : Number(text.trim().replace(',', '.')));

/** C1·V1 = C2·V2, with what has to be minded. */
export function Dilution() {
  const [given, setGiven] = useState<Readonly<Record<Field, string>>>({
    stockPercent: '3',
    targetPercent: '1',
    finalMl: '150',
  });
  const made = dilute({
    stockPercent: typed(given.stockPercent),
    targetPercent: typed(given.targetPercent),
    finalMl: typed(given.finalMl),
  });
  const refusal = made.ok ? null : made.failure;
  const cup = made.ok ? measured(made.value, typed(given.finalMl)) : null;
  return (
    <Box>
      <Grid gap={1.5} columns={{ xs: '1fr', sm: '1fr 1fr 1fr' }}>
        {FIELDS.map(({ field, label }) => (
          <TextField
            key={field}
            label={label}
            value={given[field]}
            error={refusal?.field === field}
            onChange={({ target }) => setGiven({ ...given, [field]: target.value })}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
        ))}
      </Grid>
      <Space role="status" above={1.5}>
        {made.ok ? (
          <Typography variant="h2" component="p">
            {cup?.stock} from the bottle, {cup?.water} water
          </Typography>
        ) : (
          <Alert severity="error">{dilutionRefusalWords(made.failure)}</Alert>
        )}
      </Space>
      {made.ok &&
        made.value.cautions.map((caution) => (
          <Text key={caution} variant="body2" strong above={0.75}>
            {caution}
          </Text>
        ))}
    </Box>
  );
}
