import { Box, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useId } from 'react';

type MinutesAtHandProps = { readonly value: number | null; readonly onChange: (minutes: number | null) => void };

const CHOICES = [null, 3, 4, 6, 10] as const;

/** How long there is before one has to go; nothing to type. */
export function MinutesAtHand({ value, onChange }: MinutesAtHandProps) {
  const id = useId();
  return (
    <Box>
      <Typography id={id} variant="body2" color="text.secondary" sx={{ mb: 0.5 }}>
        How long have you got?
      </Typography>
      <ToggleButtonGroup
        exclusive
        fullWidth
        value={value ?? 'all'}
        onChange={(_event, next: number | 'all' | null) => next !== null && onChange(next === 'all' ? null : next)}
        aria-labelledby={id}
      >
        {CHOICES.map((minutes) => (
          <ToggleButton
            key={minutes ?? 'all'}
            value={minutes ?? 'all'}
            sx={{ minHeight: 48, textTransform: 'none', fontSize: '1rem', color: 'text.primary', px: 1 }}
          >
            {minutes === null ? 'All it takes' : `${minutes} min`}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
