import { TextField } from '@mui/material';
import { typedMoney } from '#core/money/money.ts';
import { Grid } from '#web/ui/layout.tsx';

type CostFieldProps = {
  /** What it is the cost of: "What the box cost". */
  readonly label: string;
  readonly cost: string;
  readonly currency: string;
  /** The record has its currency already: it is not asked for again. */
  readonly isKnown: boolean;
  readonly onChange: (cost: { readonly cost: string; readonly currency: string }) => void;
};

/** Is that an amount, or nothing at all? */
export const isCostRight = (cost: string, currency: string): boolean =>
  cost.trim() === '' || (currency.length === 3 && typedMoney(cost, currency) !== null);

/** What something cost, as it is typed; its currency is asked for once. */
export function CostField({ label, cost, currency, isKnown, onChange }: CostFieldProps) {
  const isWrong = !isCostRight(cost, currency);
  return (
    <Grid gap={1.5} columns={isKnown ? '1fr' : '2fr 1fr'}>
      <TextField
        label={isKnown ? `${label}, ${currency}` : label}
        value={cost}
        onChange={({ target }) => onChange({ cost: target.value, currency })}
        error={isWrong}
        helperText={isWrong ? 'An amount like 27.50' : undefined}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      {!isKnown && (
        <TextField
          label="Currency"
          value={currency}
          onChange={({ target }) => onChange({ cost, currency: target.value.toUpperCase().slice(0, 3) })}
          helperText="Asked once: the whole record counts in it."
        />
      )}
    </Grid>
  );
}
