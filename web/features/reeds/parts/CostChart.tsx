import { Box } from '@mui/material';
import { Bar, BarChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { minorDigits } from '#core/money/money.ts';
import type { ReedsOfKindView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';

type CostChartProps = { readonly spent: ReedsOfKindView['supply']['spent']; readonly currency: string };

const CANE = 'var(--ulu-palette-cane-main)';
const QUIET = 'var(--ulu-palette-text-secondary)';

/** What boxes cost month by month; the table beside it says the same. */
export function CostChart({ spent, currency }: CostChartProps) {
  const data = spent.map(({ from, minor }) => ({ month: FORMAT.month(from), minor }));
  const whole = (minor: number): string => String(Math.round(minor / 10 ** minorDigits(currency)));
  return (
    <Box aria-hidden sx={{ height: 150, mt: 1, '& *': { outline: 'none' } }}>
      <ResponsiveContainer>
        <BarChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 4, bottom: 4, left: 0 }}>
          <XAxis dataKey="month" stroke={QUIET} interval="preserveStartEnd" />
          <YAxis stroke={QUIET} width={44} tickCount={3} tickFormatter={whole} />
          <Bar dataKey="minor" fill={CANE} radius={[3, 3, 0, 0]} isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
    </Box>
  );
}
