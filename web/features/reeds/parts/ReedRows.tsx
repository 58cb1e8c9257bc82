import { Box, Typography, useMediaQuery, type Theme } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import { addDays, dayNumber, weekdayOfDay } from '#core/time/local-date.ts';
import type { ReedPlanView } from '#contract/reed-views.ts';
import { firstDayOfWeek } from '#web/session/settings.ts';
import { FORMAT } from '#web/clock/format.ts';
import { ReedStroke } from '#web/features/reeds/parts/ReedStroke.tsx';
import {
  AT_A_TABLE,
  IN_A_HAND,
  neighbourOf,
  sessionsOf,
  shifted,
  type RowsSize,
  type Session,
} from '#web/features/reeds/parts/reed-rows-grid.ts';
import { MovesDrawing } from '#web/ui/MovesDrawing.tsx';
import { HeardOnly } from '#web/ui/HeardOnly.tsx';
import { useMoves, type Cell } from '#web/ui/use-moves.ts';
import { Grid, Space } from '#web/ui/layout.tsx';

type Drawn = { readonly plan: ReedPlanView; readonly size: RowsSize };

const INK = 'var(--ulu-palette-text-primary)';
const QUIET = 'var(--ulu-palette-text-secondary)';
const LINE = 'var(--ulu-palette-divider)';

/** The days as a table, for those who hear the page. */
function Table({ rows, from, today }: ReedPlanView) {
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
    <HeardOnly>
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
    </HeardOnly>
  );
}

/** The first of each week over its day, the concerts, and a thread where today begins. */
function Days({ plan: { from, today, concerts, expected, rows }, size: { day: wide, row, top } }: Drawn) {
  const first = dayNumber(from);
  const past = dayNumber(today) - first;
  const now = past * wide;
  const height = top + rows.length * row;
  return (
    <g aria-hidden>
      {Array.from({ length: past + expected.length }, (_, index) => index)
        .filter((index) => weekdayOfDay(first + index) === firstDayOfWeek())
        .map((index) => (
          <g key={index}>
            <path d={`M${index * wide} ${top - 4}V${height}`} strokeWidth={1} stroke={LINE} />
            <text x={index * wide + 2} y={14} fontSize={12} fill={QUIET}>
              {FORMAT.shortDate(addDays(from, index))}
            </text>
          </g>
        ))}
      {concerts.map((is, index) =>
        is ? (
          <path
            key={index}
            d={`M${now + index * wide + wide / 2} ${top - 6}V${height}`}
            strokeWidth={2}
            strokeDasharray="2 3"
            stroke={INK}
          />
        ) : null,
      )}
      <path d={`M${now} ${top - 6}V${height}`} strokeWidth={2.5} stroke={INK} />
      {rows.map(({ reedId }, index) => (
        <path
          key={reedId}
          d={`M0 ${top + (index + 1) * row - 2}H${(past + expected.length) * wide}`}
          strokeWidth={1}
          stroke={LINE}
        />
      ))}
    </g>
  );
}

/** What was played, row by row. */
const Played = ({ plan: { rows }, size }: Drawn) => (
  <g aria-hidden>
    {rows.map(({ reedId, played }, row) => (
      <g key={reedId} transform={`translate(0 ${size.top + row * size.row})`}>
        {played.map((minutes, index) =>
          minutes > 0 ? (
            <ReedStroke key={index} x={index * size.day} minutes={minutes} size={size} look="played" />
          ) : null,
        )}
      </g>
    ))}
  </g>
);

/** "Fennel 2½, reed 3: 45 min on Fri 27 November, set by you". */
function sessionName({ rows, today }: ReedPlanView, { row, day, minutes, isSet }: Session): string {
  const when = FORMAT.weekdayDate(addDays(today, day));
  const what = minutes > 0 ? `${duration(minutes)} on ${when}` : `not on ${when}`;
  return `${rows[row]?.boxName ?? ''}, reed ${rows[row]?.number ?? ''}: ${what}${isSet ? ', set by you' : ''}`;
}

type PlannedProps = Drawn & {
  readonly moves: ReturnType<typeof useMoves<Session>>;
};

/** What is planned: every session can be reached by keys, pulled by the mouse, and tapped. */
function Planned({ plan, size, moves: { things: sessions, held, on } }: PlannedProps) {
  const past = dayNumber(plan.today) - dayNumber(plan.from);
  const place = ({ row, day }: Cell): string => `translate(${(past + day) * size.day} ${size.top + row * size.row})`;
  return (
    <>
      {sessions.map((session) => {
        const { row, day, minutes, isSet } = session;
        return (
          <g
            key={`${row} ${day}`}
            role="button"
            data-cell={`${row} ${day}`}
            aria-label={sessionName(plan, session)}
            transform={place(session)}
            style={{ cursor: 'grab', outline: 'none' }}
            {...on(session)}
          >
            <rect className="reach" width={size.day} height={size.row - 2} fill="transparent" />
            <ReedStroke
              x={0}
              minutes={minutes}
              size={size}
              look="planned"
              cap={plan.rows[row]?.caps[day] ?? null}
              isSet={isSet}
            />
          </g>
        );
      })}
      {held && (
        <g aria-hidden transform={place(held.to)} pointerEvents="none">
          <rect width={size.day} height={size.row - 2} fill="var(--ulu-palette-background-paper)" />
          <ReedStroke x={0} minutes={held.thing.minutes} size={size} look="held" isSet />
        </g>
      )}
    </>
  );
}

type ReedRowsProps = {
  readonly plan: ReedPlanView;
  readonly onMove: (session: Session, to: Cell) => void;
  readonly onOpen: (session: Session) => void;
};

/**
 * Reeds as rows and days as columns: four weeks of record and four of plan in one drawing, today's thread between. On a
 * narrow screen it opens at today and is swiped.
 */
export function ReedRows({ plan, onMove, onOpen }: ReedRowsProps) {
  const { rows, from, today, expected } = plan;
  const size = useMediaQuery<Theme>((theme) => theme.breakpoints.down('sm')) ? IN_A_HAND : AT_A_TABLE;
  const sessions = sessionsOf(plan);
  const moves = useMoves({
    things: sessions,
    size,
    shifted: (from, by) => shifted(from, by, plan),
    neighbour: (from, key) => neighbourOf(sessions, from, key),
    canCarry: ({ minutes }) => minutes > 0,
    onMove,
    onOpen,
  });
  const { held } = moves;
  const past = dayNumber(today) - dayNumber(from);
  const [width, height] = [(past + expected.length) * size.day, size.top + rows.length * size.row];
  return (
    <>
      <Table {...plan} />
      <Grid gap={0} columns={{ xs: '104px minmax(0, 1fr)', sm: '190px minmax(0, 1fr)' }}>
        <Box aria-hidden sx={{ pt: `${size.top}px` }}>
          {rows.map(({ reedId, number, boxName }) => (
            <Typography
              key={reedId}
              variant="body2"
              sx={{
                height: size.row,
                lineHeight: `${size.row}px`,
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
        <MovesDrawing
          label="Planned sessions. Arrow keys go from one to the next, the space bar picks one up and puts it down, Enter opens it."
          width={width}
          height={height}
          // Two days of record stay in sight.
          opensAt={Math.max(0, (past - 2) * size.day)}
        >
          <Days plan={plan} size={size} />
          <Played plan={plan} size={size} />
          <Planned plan={plan} size={size} moves={moves} />
        </MovesDrawing>
      </Grid>
      <Space height={24}>
        <Typography role="status" variant="body2" color="text.secondary">
          {held
            ? sessionName(plan, { ...held.thing, ...held.to, isSet: false })
            : 'Full: played. Outlined: planned. On a peg: set by you. Open a session to move it, or pull it.'}
        </Typography>
      </Space>
    </>
  );
}
