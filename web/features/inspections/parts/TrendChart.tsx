import { Box } from '@mui/material';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { dateOfDay, dayNumber } from '#core/time/local-date.ts';
import type { MeasureView } from '#contract/inspections.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';

const INK = 'var(--ulu-palette-text-primary)';
const QUIET = 'var(--ulu-palette-text-secondary)';
const STOP = 'var(--ulu-palette-stop-main)';
const GOOD = 'var(--ulu-palette-tube-bore)';
const RULE = 'var(--ulu-palette-divider)';

/** "Jan 2027". */
const monthOf = (day: number): string => {
  const date = dateOfDay(Math.round(day));
  return `${FORMAT.month(date)} ${date.slice(0, 4)}`;
};

type Point = { readonly day: number; readonly [Line: `line${number}`]: number; readonly straight?: number };

/** The readings of each line and the straight one over one axis of days. */
function pointsOf({ lines, straight }: MeasureView): Point[] {
  const read = lines.flatMap(({ points }, at) =>
    points.map(({ on, value }): Point => ({ day: dayNumber(on), [`line${at}`]: value })),
  );
  const drawn = (straight ?? []).map(({ on, value }): Point => ({ day: dayNumber(on), straight: value }));
  return [...read, ...drawn].toSorted((a, b) => a.day - b.day);
}

/** What its axis holds: all readings, what is good, and the limit it heads for. */
function heightsOf({ lines, limit, ways, way }: MeasureView): [number, number] {
  const { least, most, unit } = ways.find((one) => one.way === way) ?? { least: 0, most: 1, unit: 'count' as const };
  if (unit === 'degree') return [least, most];
  const values = lines.flatMap(({ points }) => points.map(({ value }) => value));
  const top = Math.max(...values, limit ?? 0, 1);
  return [0, Math.ceil(top * 1.15)];
}

/**
 * What was read, the line through it and the limit it heads for; the table beside it says the same to those who hear.
 */
export function TrendChart({ measure }: { readonly measure: MeasureView }) {
  const today = dayNumber(useToday());
  const { limit, lines, reaches } = measure;
  const way = measure.ways.find((one) => one.way === measure.way);
  const heights = heightsOf(measure);
  return (
    <Box aria-hidden sx={{ height: 230, '& *': { outline: 'none' } }}>
      <ResponsiveContainer>
        <LineChart
          accessibilityLayer={false}
          data={pointsOf(measure)}
          margin={{ top: 12, right: 16, bottom: 4, left: 0 }}
        >
          <CartesianGrid stroke={RULE} vertical={false} />
          {way && (way.goodFrom !== null || way.goodTo !== null) && (
            <ReferenceArea
              y1={Math.max(heights[0], way.goodFrom ?? heights[0])}
              y2={Math.min(heights[1], way.goodTo ?? heights[1])}
              fill={GOOD}
              fillOpacity={0.55}
              stroke="none"
            />
          )}
          {reaches && limit !== null && (
            <ReferenceArea
              x1={dayNumber(reaches.from)}
              {...(reaches.to === null ? {} : { x2: dayNumber(reaches.to) })}
              fill={STOP}
              fillOpacity={0.16}
              stroke="none"
              ifOverflow="hidden"
            />
          )}
          <XAxis
            dataKey="day"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={monthOf}
            stroke={QUIET}
            tickCount={5}
          />
          <YAxis
            domain={heights}
            allowDecimals={false}
            tickFormatter={(value: number) => `${FORMAT.number(value)}${way?.unitAfter ?? ''}`}
            stroke={QUIET}
            width={52}
          />
          <ReferenceLine x={today} stroke={QUIET} strokeDasharray="2 4" ifOverflow="hidden" />
          {limit !== null && <ReferenceLine y={limit} stroke={STOP} strokeWidth={2} />}
          {lines.map((_line, at) => (
            <Line
              key={at}
              dataKey={`line${at}`}
              type="linear"
              stroke={INK}
              strokeWidth={2}
              strokeOpacity={at === lines.length - 1 ? 1 : 0.45}
              dot={{ r: 3.5, fill: INK }}
              connectNulls
              isAnimationActive={false}
            />
          ))}
          <Line
            dataKey="straight"
            type="linear"
            stroke={INK}
            strokeWidth={2}
            strokeDasharray="6 5"
            dot={false}
            connectNulls
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </Box>
  );
}
