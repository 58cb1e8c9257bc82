import { Box, Typography } from '@mui/material';
import { useLayoutEffect, useRef } from 'react';
import { duration } from '#core/explain/format.ts';
import { addDays, dayNumber, weekdayOfDay } from '#core/time/local-date.ts';
import type { ReedPlanView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';

type ReedRowsProps = { readonly plan: ReedPlanView };

const DAY = 15;
const ROW = 30;
const TOP = 26;
/** The longest stroke stands for so many minutes. */
const LONGEST_MINUTES = 90;
const INK = 'var(--ulu-palette-text-primary)';
const QUIET = 'var(--ulu-palette-text-secondary)';
const CANE = 'var(--ulu-palette-cane-main)';
const LINE = 'var(--ulu-palette-divider)';

const lengthOf = (minutes: number): number => (ROW - 8) * Math.min(1, minutes / LONGEST_MINUTES);

type StrokeProps = {
  readonly x: number;
  readonly minutes: number;
  readonly planned: boolean;
  readonly cap: number | null;
};

/** Minutes of a day as the length of a stroke: full where they were played, outlined where they are planned. */
function Stroke({ x, minutes, planned, cap }: StrokeProps) {
  const length = lengthOf(minutes);
  const foot = ROW - 3;
  return (
    <>
      <rect
        x={x + 4}
        y={foot - length}
        width={7}
        height={length}
        rx={2}
        strokeWidth={planned ? 1.5 : 0}
        style={{ fill: planned ? 'transparent' : CANE, stroke: 'var(--ulu-palette-cane-ink)' }}
      />
      {cap !== null && (
        <path
          d={`M${x + 2} ${foot - lengthOf(cap) - 2}v-2h11v2`}
          fill="none"
          strokeWidth={1.2}
          style={{ stroke: INK }}
        />
      )}
    </>
  );
}

/** Not drawn, but read aloud. */
const HEARD_ONLY = {
  position: 'absolute',
  top: 0,
  left: 0,
  width: '1px',
  height: '1px',
  overflow: 'hidden',
  clipPath: 'inset(50%)',
} as const;

/** The days as a table, for those who hear the page. */
function Table({ plan: { rows, from, today } }: ReedRowsProps) {
  const told = rows.map(({ reedId, number, boxName, played, planned }) => ({
    reedId,
    name: `${boxName}, reed ${number}`,
    played: played.flatMap((minutes, index) =>
      minutes > 0 ? [`${FORMAT.shortDate(addDays(from, index))} ${duration(minutes)}`] : [],
    ),
    planned: planned.flatMap((minutes, index) =>
      minutes > 0 ? [`${FORMAT.shortDate(addDays(today, index))} ${duration(minutes)}`] : [],
    ),
  }));
  return (
    <Box sx={{ position: 'relative' }}>
      <Box sx={HEARD_ONLY}>
        <table>
          <caption>Reeds, what was played and what is planned</caption>
          <tbody>
            <tr>
              <th scope="col">Reed</th>
              <th scope="col">Played</th>
              <th scope="col">Planned</th>
            </tr>
            {told.map(({ reedId, name, played, planned }) => (
              <tr key={reedId}>
                <th scope="row">{name}</th>
                <td>{played.join(', ') || 'not played'}</td>
                <td>{planned.join(', ') || 'not planned'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
    </Box>
  );
}

/** The first of each week over its day, and a thread where today begins. */
function Days({
  plan: { from, today, concerts },
  count,
  height,
}: ReedRowsProps & { readonly count: number; readonly height: number }) {
  const first = dayNumber(from);
  const now = (dayNumber(today) - first) * DAY;
  return (
    <>
      {Array.from({ length: count }, (_, index) => index)
        .filter((index) => weekdayOfDay(first + index) === 0)
        .map((index) => (
          <g key={index}>
            <path d={`M${index * DAY} ${TOP - 4}V${height}`} strokeWidth={1} style={{ stroke: LINE }} />
            <text x={index * DAY + 2} y={14} fontSize={12} style={{ fill: QUIET }}>
              {FORMAT.shortDate(addDays(from, index))}
            </text>
          </g>
        ))}
      {concerts.map((is, index) =>
        is ? (
          <path
            key={index}
            d={`M${now + index * DAY + DAY / 2} ${TOP - 6}V${height}`}
            strokeWidth={2}
            strokeDasharray="2 3"
            style={{ stroke: INK }}
          />
        ) : null,
      )}
      <path d={`M${now} ${TOP - 6}V${height}`} strokeWidth={2.5} style={{ stroke: INK }} />
    </>
  );
}

/**
 * Reeds as rows and days as columns: four weeks of record and four of plan in one drawing, today's thread between. On a
 * narrow screen it opens at today and is swiped.
 */
export function ReedRows({ plan }: ReedRowsProps) {
  const { rows, from, today, expected } = plan;
  const past = dayNumber(today) - dayNumber(from);
  const count = past + expected.length;
  const height = TOP + rows.length * ROW;
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    // Two days of record stay in sight.
    if (box.current) box.current.scrollLeft = Math.max(0, (past - 2) * DAY);
  }, [past]);
  return (
    <>
      <Table plan={plan} />
      <Box
        aria-hidden
        sx={{ display: 'grid', gridTemplateColumns: { xs: '110px minmax(0, 1fr)', sm: '190px minmax(0, 1fr)' } }}
      >
        <Box sx={{ pt: `${TOP}px` }}>
          {rows.map(({ reedId, number, boxName }) => (
            <Typography
              key={reedId}
              variant="body2"
              sx={{
                height: ROW,
                lineHeight: `${ROW}px`,
                overflow: 'hidden',
                textOverflow: 'ellipsis',
                whiteSpace: 'nowrap',
                pr: 1,
              }}
            >
              <strong>{number}</strong> {boxName}
            </Typography>
          ))}
        </Box>
        <Box ref={box} tabIndex={-1} sx={{ overflowX: 'auto' }}>
          <svg width={count * DAY} height={height} viewBox={`0 0 ${count * DAY} ${height}`}>
            <Days plan={plan} count={count} height={height} />
            {rows.map(({ reedId, played, planned, caps }, row) => (
              <g key={reedId} transform={`translate(0 ${TOP + row * ROW})`}>
                <path d={`M0 ${ROW - 2}H${count * DAY}`} strokeWidth={1} style={{ stroke: LINE }} />
                {played.map((minutes, index) =>
                  minutes > 0 ? (
                    <Stroke key={index} x={index * DAY} minutes={minutes} planned={false} cap={null} />
                  ) : null,
                )}
                {planned.map((minutes, index) =>
                  minutes > 0 ? (
                    <Stroke key={index} x={(past + index) * DAY} minutes={minutes} planned cap={caps[index] ?? null} />
                  ) : null,
                )}
              </g>
            ))}
          </svg>
        </Box>
      </Box>
    </>
  );
}
