import { useId } from 'react';
import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import type { LastPass as Found } from '#core/water/wetness.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type LastPassProps = {
  readonly step: ShownStep;
  readonly several: boolean;
  readonly busy: boolean;
  readonly onFound: (found: Found, count: number) => void;
};

const ANSWERS = [
  { found: 'dry', words: 'Dry' },
  { found: 'first-dry', words: 'Only this one dry' },
  { found: 'wet', words: 'Still wet' },
] as const;

/** One tap that tunes the passes to this player and instrument. */
export function LastPass({ step, several, busy, onFound }: LastPassProps) {
  const id = useId();
  const made = step.counted > 0 ? step.counted : (step.count ?? 1);
  return (
    <Space above={2}>
      <Text id={id} strong>
        {several && `${step.instrumentName}: `}
        {step.partName}: how did the last of {made} passes come out?
      </Text>
      <Text variant="body2" color="text.secondary" below={1}>
        It tunes the passes to you.
      </Text>
      <ToggleButtonGroup
        exclusive
        fullWidth
        aria-labelledby={id}
        value={step.lastPass}
        disabled={busy}
        onChange={(_, found: Found | null) => found && onFound(found, made)}
      >
        {ANSWERS.map(({ found, words }) => (
          <ToggleButton key={found} value={found}>
            {words}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Space>
  );
}
