import { MenuItem, TextField } from '@mui/material';
import type { InstrumentId } from '#core/instruments/instrument.ts';

type OneOrAllProps = {
  readonly instruments: readonly { readonly instrumentId: InstrumentId; readonly name: string }[];
  readonly shown: Shown;
  readonly onChange: (shown: Shown) => void;
};

/** One instrument alone, all of one's own, or everybody's. */
export type Shown = { readonly kind: 'mine'; readonly only: InstrumentId | null } | { readonly kind: 'everybody' };
const EVERYBODY = 'everybody';

/** Whose weeks are shown. */
export function OneOrAll({ instruments, shown, onChange }: OneOrAllProps) {
  const choose = (value: string): Shown =>
    value === EVERYBODY
      ? { kind: 'everybody' }
      : { kind: 'mine', only: instruments.find((one) => one.instrumentId === value)?.instrumentId ?? null };
  return (
    <TextField
      select
      size="small"
      label="Instrument"
      value={shown.kind === 'everybody' ? EVERYBODY : (shown.only ?? '')}
      onChange={({ target }) => onChange(choose(target.value))}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      sx={{ minWidth: 160 }}
    >
      <MenuItem value="">All my instruments</MenuItem>
      {instruments.map(({ instrumentId, name }) => (
        <MenuItem key={instrumentId} value={instrumentId}>
          {name}
        </MenuItem>
      ))}
      <MenuItem value={EVERYBODY}>Everybody’s instruments</MenuItem>
    </TextField>
  );
}
