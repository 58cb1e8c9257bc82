import { Box, Button, Typography } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import type { ShownLeftOut } from '#contract/shown-run.ts';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type LeftOutProps = {
  readonly leftOut: readonly ShownLeftOut[];
  readonly several: boolean;
  readonly busy: boolean;
  readonly onPullIn: (stepKey: RunStepKey) => void;
};

/** What does not fit the minutes at hand: what it costs to let it wait, and how much longer it would take. */
export function LeftOut({ leftOut, several, busy, onPullIn }: LeftOutProps) {
  return (
    <Space above={2}>
      <Text variant="h3" component="h3" below={0.5}>
        What did not fit into your time
      </Text>
      <PlainList>
        {leftOut.map(({ steps: [first], name, instrumentName, moreMinutes, cost }) => (
          <Box
            component="li"
            key={first?.key}
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
              {cost && <Quiet> — if it waits: {cost}</Quiet>}
            </Typography>
            <Button
              color="inherit"
              disabled={busy}
              onClick={() => first && onPullIn(first.key)}
              aria-label={`Do it too · ${duration(Math.max(1, Math.ceil(moreMinutes)))} more: ${name}`}
            >
              Do it too · {duration(Math.max(1, Math.ceil(moreMinutes)))} more
            </Button>
          </Box>
        ))}
      </PlainList>
    </Space>
  );
}
