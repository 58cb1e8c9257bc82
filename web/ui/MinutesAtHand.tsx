import { ChooseOne } from '#web/ui/ChooseOne.tsx';

type MinutesAtHandProps = { readonly value: number | null; readonly onChange: (minutes: number | null) => void };

const ALL = 'all';
const OPTIONS = [
  { value: ALL, words: 'No hurry' },
  ...[3, 4, 6, 10].map((minutes) => ({ value: String(minutes), words: `${minutes} min` })),
] as const;

/** How long there is before one has to go; nothing to type. */
export const MinutesAtHand = ({ value, onChange }: MinutesAtHandProps) => (
  <ChooseOne
    label="How long have you got?"
    options={OPTIONS}
    value={value === null ? ALL : String(value)}
    onChange={(next) => onChange(next === ALL ? null : Number(next))}
  />
);
