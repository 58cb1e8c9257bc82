import { MenuItem, TextField } from '@mui/material';
import type { InstrumentId } from '#core/instruments/instrument.ts';

type OneOrAllProps = {
  readonly instruments: readonly { readonly instrumentId: InstrumentId; readonly name: string }[];
  readonly only: InstrumentId | null;
  readonly onChange: (only: InstrumentId | null) => void;
};

/** One instrument alone, or all of them. */
export function OneOrAll({ instruments, only, onChange }: OneOrAllProps) {
  if (instruments.length < 2) return null;
  return (
    <TextField
      select
      size="small"
      label="Instrument"
      value={only ?? ''}
      onChange={({ target }) =>
        onChange(instruments.find((one) => one.instrumentId === target.value)?.instrumentId ?? null)
      }
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      sx={{ minWidth: 160 }}
    >
      <MenuItem value="">All instruments</MenuItem>
      {instruments.map(({ instrumentId, name }) => (
        <MenuItem key={instrumentId} value={instrumentId}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
