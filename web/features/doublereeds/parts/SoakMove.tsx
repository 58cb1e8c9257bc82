import { Typography } from '@mui/material';
import type { MoveView } from '#contract/doublereeds.ts';
import type { SoakSaid } from '#core/doublereeds/examination.ts';
import { useNowMs } from '#web/clock/today.ts';
import { SoakFigure } from '#web/features/doublereeds/parts/SoakFigure.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Caution } from '#web/ui/Caution.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type SoakMoveProps = {
  readonly soak: NonNullable<MoveView['soak']>;
  /** When that was answered, ms by this device. */
  readonly answeredMs: number;
  readonly busy: boolean;
  readonly onSay: (said: SoakSaid) => void;
};

const MS_PER_MINUTE = 60_000;
const clock = (ms: number): string => {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
};
const minutes = (ms: number): string => `${Math.round(ms / MS_PER_MINUTE)} min`;

/** How far the soak has come, in words: before its least, its usual, its most, or beyond. */
function progress(passed: number, { leastMs, usualMs, mostMs }: SoakMoveProps['soak']): string {
  if (passed < leastMs) return `${clock(leastMs - passed)} until it is wet enough at the least`;
  if (passed < usualMs) return `Wet enough. ${clock(usualMs - passed)} until its usual ${minutes(usualMs)}`;
  return `In the water for ${minutes(passed)}. At the most ${minutes(mostMs)}`;
}

/** The wait in water: a clock that survives a reload, for it is counted from what was logged. */
export function SoakMove({ soak, answeredMs, busy, onSay }: SoakMoveProps) {
  const passed = Math.max(0, useNowMs(true) - answeredMs) + soak.elapsedMs;
  const { says, leastMs, mostMs, takeOut } = soak;
  const isWet = passed >= leastMs;
  const isLaidIn = says !== 'in';
  return (
    <Grid columns={{ xs: '1fr', sm: '1fr 2fr' }} gap={2} above={1.5} align="center">
      {isLaidIn ? <SoakFigure share={passed / soak.usualMs} /> : <span />}
      <Space>
        {isLaidIn && (
          <Typography variant="h2" component="p" role="timer">
            {progress(passed, soak)}
          </Typography>
        )}
        {isLaidIn && passed > mostMs && <Caution above={1.5}>{takeOut}</Caution>}
        <Row wrap above={2}>
          {says === 'through' && (
            <BrassButton size="large" leads={isWet} disabled={busy} onClick={() => onSay('through')}>
              It is soaked through
            </BrassButton>
          )}
          {says === 'in' && (
            <BrassButton size="large" disabled={busy} onClick={() => onSay('in')}>
              It is in the water
            </BrassButton>
          )}
        </Row>
        {says === 'through' && !isWet && (
          <Text variant="body2" color="text.secondary" above={1}>
            Say so earlier and you can look at it. Nothing is done to it before {minutes(leastMs)}.
          </Text>
        )}
      </Space>
    </Grid>
  );
}
