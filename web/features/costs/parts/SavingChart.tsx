import { Box } from '@mui/material';
import { Area, Bar, ComposedChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { minorDigits } from '#core/money/money.ts';
import type { CostsView } from '#contract/costs.ts';
import { FORMAT } from '#web/clock/format.ts';

const QUIET = 'var(--ulu-palette-text-secondary)';
const INK = 'var(--ulu-palette-text-primary)';
const FUND = 'var(--ulu-palette-tube-bore)';
const PAID = 'var(--ulu-palette-primary-main)';

type SavingChartProps = {
  readonly months: NonNullable<CostsView['plan']>['months'];
  readonly currency: string;
};

/** What is put aside month by month, and what is paid from it; the list beside it says the same. */
export function SavingChart({ months, currency }: SavingChartProps) {
  const whole = (minor: number): string => String(Math.round(minor / 10 ** minorDigits(currency)));
  const data = months.map(({ from, left, paid }) => ({
    month: `${FORMAT.month(from)} ${from.slice(0, 4)}`,
    left,
    paid,
  }));
  return (
    <Box aria-hidden sx={{ height: 190, '& *': { outline: 'none' } }}>
      <ResponsiveContainer>
        <ComposedChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 36, bottom: 0, left: 0 }}>
          <XAxis dataKey="month" stroke={QUIET} interval="preserveStartEnd" minTickGap={28} />
          <YAxis stroke={QUIET} width={48} tickCount={4} tickFormatter={whole} />
          <Area dataKey="left" type="stepAfter" stroke={INK} strokeWidth={2} fill={FUND} isAnimationActive={false} />
          <Bar dataKey="paid" fill={PAID} maxBarSize={10} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </Box>
  );
}
