import { Box } from '@mui/material';
import { Area, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { ReedsOfKindView } from '#contract/reed-views.ts';

type LifeChartProps = { readonly life: ReedsOfKindView['life'] };

const HOUR = 60;
const INK = 'var(--ulu-palette-text-primary)';
const CANE = 'var(--ulu-palette-cane-main)';
const QUIET = 'var(--ulu-palette-text-secondary)';
const percent = (share: number): string => `${Math.round(share * 100)} %`;

type Point = { readonly hours: number; belief?: number; curve?: number; band?: [number, number] };

/** Both lines over one axis of hours: what is believed of the next reed, and the steps of those that were watched. */
function pointsOf({ belief, curve }: LifeChartProps['life']): Point[] {
  const believed = belief.map(({ minutes, share }): Point => ({ hours: minutes / HOUR, belief: share }));
  const watched: Point[] =
    curve.length === 0
      ? []
      : [
          { hours: 0, curve: 1, band: [1, 1] },
          ...curve.map(({ minutes, share, low, high }): Point => ({
            hours: minutes / HOUR,
            curve: share,
            band: [low, high],
          })),
        ];
  return [...believed, ...watched].sort((a, b) => a.hours - b.hours);
}

/** How many reeds live how long: a curve and the steps of one's own with their band; the sentence beside it says the same. */
export const LifeChart = ({ life }: LifeChartProps) => (
  <Box aria-hidden sx={{ height: 220, '& *': { outline: 'none' } }}>
    <ResponsiveContainer>
      <ComposedChart
        accessibilityLayer={false}
        data={pointsOf(life)}
        margin={{ top: 8, right: 12, bottom: 4, left: 0 }}
      >
        <XAxis
          dataKey="hours"
          type="number"
          domain={[0, 'dataMax']}
          tickFormatter={(hours: number) => `${Math.round(hours)} h`}
          stroke={QUIET}
        />
        <YAxis domain={[0, 1]} ticks={[0, 0.5, 1]} tickFormatter={percent} stroke={QUIET} width={60} />
        <Area
          dataKey="band"
          type="stepAfter"
          stroke="none"
          fill={CANE}
          fillOpacity={0.35}
          connectNulls
          isAnimationActive={false}
        />
        <Line
          dataKey="belief"
          stroke={INK}
          strokeWidth={2}
          strokeDasharray="6 4"
          dot={false}
          connectNulls
          isAnimationActive={false}
        />
        <Line
          dataKey="curve"
          type="stepAfter"
          stroke={CANE}
          strokeWidth={3}
          dot={false}
          connectNulls
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  </Box>
);
