import { Box, Button, Typography } from '@mui/material';
import { counted } from '#core/explain/format.ts';
import type { InstrumentPage } from '#contract/care.ts';
import { FORMAT } from '#web/clock/format.ts';

type WetnessBeliefProps = {
  readonly wetness: NonNullable<InstrumentPage['wetness']>;
  readonly busy: boolean;
  readonly onReset: () => void;
};

const WIDTH = 320;
const HEIGHT = 72;

/** What is believed of how wet its player blows it: drawn, counted, and to be forgotten with one tap. */
export function WetnessBelief({
  wetness: { taps, factor, low, high, factors, weights },
  busy,
  onReset,
}: WetnessBeliefProps) {
  const most = Math.max(...weights);
  const step = WIDTH / weights.length;
  const usual = factors.findIndex((one) => one >= 1);
  const range = `${FORMAT.number(low)}–${FORMAT.number(high)}`;
  return (
    <>
      <Typography>
        {taps === 0
          ? 'Nothing is known of you yet: the passes are the rule of thumb.'
          : `You leave about ${FORMAT.number(factor)} times the usual water (${range}), by ${counted(taps, 'tap')}.`}
      </Typography>
      <Box
        component="svg"
        role="img"
        aria-label={`Belief about your water: about ${FORMAT.number(factor)} times the usual, most likely ${range}`}
        viewBox={`0 0 ${WIDTH} ${HEIGHT + 18}`}
        sx={{ width: '100%', maxWidth: 420, display: 'block', mt: 1 }}
      >
        {weights.map((weight, index) => (
          <rect
            key={factors[index]}
            x={index * step + 0.5}
            width={step - 1}
            y={HEIGHT - (HEIGHT * weight) / most}
            height={(HEIGHT * weight) / most}
            fill="var(--ulu-palette-water-main)"
          />
        ))}
        <path
          d={`M${(usual + 0.5) * step} 0V${HEIGHT}`}
          strokeDasharray="3 3"
          stroke="var(--ulu-palette-text-primary)"
        />
        {[0, usual, weights.length - 1].map((index, at) => (
          <text
            key={index}
            x={(index + 0.5) * step}
            y={HEIGHT + 14}
            fontSize={12}
            textAnchor={(['start', 'middle', 'end'] as const)[at] ?? 'middle'}
            fill="var(--ulu-palette-text-secondary)"
          >
            {index === usual ? 'usual' : `× ${FORMAT.number(factors[index] ?? 1)}`}
          </text>
        ))}
      </Box>
      {taps > 0 && (
        <Button color="inherit" disabled={busy} onClick={onReset}>
          Forget it and start anew
        </Button>
      )}
    </>
  );
}
