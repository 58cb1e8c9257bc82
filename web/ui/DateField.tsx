import { TextField, type TextFieldProps } from '@mui/material';
import { parseLocalDate, type LocalDate } from '#core/time/local-date.ts';

type DateFieldProps = Omit<TextFieldProps, 'type' | 'value' | 'onChange' | 'slotProps'> & {
  /** Null while nothing, or no whole day, is entered. */
  readonly value: LocalDate | null;
  readonly onChange: (day: LocalDate | null) => void;
  readonly latest?: LocalDate;
};

/** A day of the calendar, chosen as the device chooses days. */
export function DateField({ value, onChange, latest, ...field }: DateFieldProps) {
  return (
    <TextField
      type="date"
      value={value ?? ''}
      onChange={({ target }) => onChange(parseLocalDate(target.value) ?? null)}
      slotProps={{ inputLabel: { shrink: true }, ...(latest ? { htmlInput: { max: latest } } : {}) }}
      {...field}
    />
  );
}
