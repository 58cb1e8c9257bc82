import { Chip } from '@mui/material';
import type { AloneId } from '#core/instruments/alone.ts';
import type { AloneView } from '#contract/instruments.ts';
import { Row } from '#web/ui/layout.tsx';

/** What is said of parts that are played by themselves: "Only the mouthpiece and barrel". */
export const onlyWords = (name: string): string => `Only the ${name.toLowerCase()}`;

/** The parts that were played by themselves, a chip each; pressed again it was all of it. Nothing where there are none. */
export function AlonePlayed({
  sets,
  value,
  onChange,
}: {
  readonly sets: AloneView['sets'];
  readonly value: AloneId | null;
  readonly onChange: (alone: AloneId | null) => void;
}) {
  if (sets.length === 0) return null;
  return (
    <Row gap={0.75} wrap>
      {sets.map(({ alone, name }) => (
        <Chip
          key={alone}
          label={onlyWords(name)}
          variant={alone === value ? 'filled' : 'outlined'}
          color={alone === value ? 'primary' : 'default'}
          onClick={() => onChange(alone === value ? null : alone)}
          aria-pressed={alone === value}
        />
      ))}
    </Row>
  );
}
