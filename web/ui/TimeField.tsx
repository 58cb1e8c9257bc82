import { TextField } from '@mui/material';

const MINUTES_AN_HOUR = 60;
const asClock = (at: number): string =>
  [Math.floor(at / MINUTES_AN_HOUR), at % MINUTES_AN_HOUR].map((part) => String(part).padStart(2, '0')).join(':');
/** Minutes of the day from what a time field holds; null where it is empty. */
function fromClock(text: string): number | null {
  const [hours, minutes] = text.split(':').map(Number);
  return text === '' || hours === undefined || minutes === undefined ? null : hours * MINUTES_AN_HOUR + minutes;
}

type TimeFieldProps = {
  readonly label: string;
  /** Minute of the day; null where nothing is said. */
  readonly value: number | null;
  readonly onChange: (at: number | null) => void;
};

/** A time of day, as the device asks for one; empty where one does not say. */
export const TimeField = ({ label, value, onChange }: TimeFieldProps) => (
  <TextField
    type="time"
    label={label}
    value={value === null ? '' : asClock(value)}
    onChange={({ target }) => onChange(fromClock(target.value))}
    slotProps={{ inputLabel: { shrink: true } }}
  />
);
