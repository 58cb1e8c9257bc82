import { Box } from '@mui/material';
import { Bar, BarChart, Legend, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { COST_KINDS, type CostKind } from '#core/costs/bill.ts';
import { COST_KIND_WORDS } from '#core/costs/cost-kind-words.ts';
import { minorDigits } from '#core/money/money.ts';
import { Quiet } from '#web/ui/Quiet.tsx';
import type { CostYearView } from '#contract/costs.ts';

const QUIET = 'var(--ulu-palette-text-secondary)';
const FILL: Readonly<Record<CostKind, string>> = {
  service: 'var(--ulu-palette-primary-main)',
  repair: 'var(--ulu-palette-tube-wall)',
  reeds: 'var(--ulu-palette-cane-main)',
  things: 'var(--ulu-palette-divider)',
};

type YearsChartProps = { readonly years: readonly CostYearView[]; readonly currency: string };

/** What an instrument cost year by year, by what it went into; the table beside it says the same. */
export function YearsChart({ years, currency }: YearsChartProps) {
  const whole = (minor: number): string => String(Math.round(minor / 10 ** minorDigits(currency)));
  const kinds = COST_KINDS.filter((kind) => years.some((year) => year[kind] > 0));
  return (
    <Box aria-hidden sx={{ height: 190, mt: 1, '& *': { outline: 'none' } }}>
      <ResponsiveContainer>
        <BarChart accessibilityLayer={false} data={[...years]} margin={{ top: 8, right: 4, bottom: 0, left: 0 }}>
          <XAxis dataKey="year" stroke={QUIET} />
          <YAxis stroke={QUIET} width={48} tickCount={4} tickFormatter={whole} />
          <Legend verticalAlign="bottom" height={24} formatter={(name: string) => <Quiet>{name}</Quiet>} />
          {kinds.map((kind) => (
            <Bar
              key={kind}
              dataKey={kind}
              name={COST_KIND_WORDS[kind]}
              stackId="year"
              fill={FILL[kind]}
              maxBarSize={56}
              isAnimationActive={false}
            />
          ))}
        </BarChart>
      </ResponsiveContainer>
    </Box>
  );
}
