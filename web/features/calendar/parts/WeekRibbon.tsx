import { Box } from '@mui/material';
import { addDays, dayNumber, daysBetween, weekdayOfDay } from '#core/time/local-date.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { FORMAT } from '#web/clock/format.ts';

type WeekRibbonProps = Pick<SittingsView, 'today' | 'time' | 'sittings' | 'events'>;

const DAY = 26;
const TOP = 22;
const HEIGHT = 86;
/** The longest stroke stands for so many minutes. */
const LONGEST = 60;
const INK = 'var(--ulu-palette-text-primary)';
const QUIET = 'var(--ulu-palette-text-secondary)';
const LINE = 'var(--ulu-palette-divider)';
const BRASS = 'var(--ulu-palette-brass-main)';
const CANE = 'var(--ulu-palette-cane-main)';

const lengthOf = (minutes: number): number => (HEIGHT - TOP - 22) * Math.min(1, minutes / LONGEST);

/** Six weeks as one band: sittings stand on it, as long as they take; events lie under it. The list beside says the same. */
export function WeekRibbon({ today, time, sittings, events }: WeekRibbonProps) {
  const first = dayNumber(today);
  const width = time.length * DAY;
  const foot = HEIGHT - 20;
  return (
    <Box aria-hidden tabIndex={-1} sx={{ overflowX: 'auto', my: 1 }}>
      <svg width={width} height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`}>
        {time.map((_, index) =>
          weekdayOfDay(first + index) === 0 || index === 0 ? (
            <g key={index}>
              <path d={`M${index * DAY} ${TOP - 6}V${HEIGHT}`} strokeWidth={1} style={{ stroke: LINE }} />
              <text x={index * DAY + 3} y={13} fontSize={12} style={{ fill: QUIET }}>
                {index === 0 ? 'today' : FORMAT.shortDate(addDays(today, index))}
              </text>
            </g>
          ) : null,
        )}
        <path d={`M0 ${foot}H${width}`} strokeWidth={1.5} style={{ stroke: INK }} />
        {events.map(({ key, on, until }) => {
          const from = Math.max(0, daysBetween(today, on));
          const to = Math.min(time.length - 1, daysBetween(today, until));
          return (
            <rect
              key={key}
              x={from * DAY + 3}
              y={foot + 5}
              width={(to - from + 1) * DAY - 6}
              height={9}
              rx={4}
              style={{ fill: CANE }}
            />
          );
        })}
        {sittings.map(({ on, minutes }) => (
          <rect
            key={on}
            x={daysBetween(today, on) * DAY + 6}
            y={foot - lengthOf(minutes) - 6}
            width={DAY - 12}
            height={lengthOf(minutes) + 6}
            rx={4}
            strokeWidth={1.5}
            style={{ fill: BRASS, stroke: INK }}
          />
        ))}
      </svg>
    </Box>
  );
}
