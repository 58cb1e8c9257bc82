import { Box, Button, Typography } from '@mui/material';
import { duration, figure } from '#core/explain/format.ts';
import type { LeftOutView } from '#contract/packup.ts';

type LeftOutProps = {
  readonly leftOut: readonly LeftOutView[];
  readonly several: boolean;
  readonly busy: boolean;
  readonly onPullIn: (stepKey: string) => void;
};

/** What does not fit the minutes at hand: what it costs to let it wait, and how much longer it would take. */
export function LeftOut({ leftOut, several, busy, onPullIn }: LeftOutProps) {
  return (
    <Box sx={{ mt: 2 }}>
      <Typography variant="h3" component="h3" sx={{ mb: 0.5 }}>
        Waits, for want of time
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {leftOut.map(({ stepKeys, name, instrumentName, moreMinutes, value, cost }) => (
          <Box
            component="li"
            key={stepKeys.join()}
            sx={{
              display: 'grid',
              gridTemplateColumns: '1fr auto',
              gap: 1,
              alignItems: 'center',
              borderTop: '1px solid',
              borderColor: 'divider',
              py: 0.5,
            }}
          >
            <Typography variant="body2">
              {several && `${instrumentName}: `}
              {name}
              {cost && (
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  {' '}
                  — if it waits: {cost} (weighs about {figure(value)})
                </Box>
              )}
            </Typography>
            <Button
              color="inherit"
              disabled={busy}
              onClick={() => onPullIn(stepKeys[0] ?? '')}
              aria-label={`Pull in · ${duration(Math.max(1, Math.ceil(moreMinutes)))} more: ${name}`}
            >
              Pull in · {duration(Math.max(1, Math.ceil(moreMinutes)))} more
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
