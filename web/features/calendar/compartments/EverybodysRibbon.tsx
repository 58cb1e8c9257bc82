import { Box, LinearProgress, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { isOnStage } from '#core/calendar/event.ts';
import { counted } from '#core/explain/format.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';
import type { RibbonView } from '#contract/ribbon.ts';
import { FORMAT } from '#web/clock/format.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import type { RibbonMark } from '#web/features/calendar/parts/ribbon-lanes.ts';
import { RibbonMarks } from '#web/features/calendar/parts/RibbonMarks.tsx';
import { HeardOnly } from '#web/ui/HeardOnly.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type Lane = RibbonView['lanes'][number];

const DAY = 20;
const LANE = 26;
const WIDTH = SITTING_DAYS * DAY;
const LINE = 'var(--ulu-palette-divider)';
const QUIET = 'var(--ulu-palette-text-secondary)';
const COLUMNS = { xs: '124px minmax(0, 1fr)', sm: '230px minmax(0, 1fr)' };

const marksOf = ({ due, events }: Lane): RibbonMark[] => [
  ...events.map(({ what, from, to, words }): RibbonMark => ({
    kind: isOnStage(what) ? 'audience' : what === 'rehearsal' ? 'rehearsal' : what === 'bench' ? 'away' : 'off',
    from,
    to,
    words,
  })),
  ...due.map(({ day, names }): RibbonMark => ({ kind: 'due', from: day, to: day, words: names.join(', ') })),
];

/** What a lane says, for those who hear the page. */
function laneWords(marks: readonly RibbonMark[], today: LocalDate): string {
  const told = marks.map(({ from, to, words }) => {
    const first = FORMAT.shortDate(addDays(today, from));
    return `${first}${to > from ? ` to ${FORMAT.shortDate(addDays(today, to))}` : ''}: ${words}`;
  });
  return told.join('; ') || 'nothing';
}

const Row = ({ lane, today }: { readonly lane: Lane; readonly today: LocalDate }) => {
  const marks = marksOf(lane);
  return (
    <Box
      component="li"
      // A room has hundreds: those out of sight are not drawn.
      sx={{
        display: 'grid',
        gridTemplateColumns: COLUMNS,
        contentVisibility: 'auto',
        containIntrinsicSize: `auto ${LANE}px`,
        borderTop: '1px solid',
        borderColor: 'divider',
      }}
    >
      <Typography
        variant="body2"
        sx={{ lineHeight: `${LANE}px`, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap', pr: 1 }}
      >
        {lane.name} <Quiet>{lane.playerName}</Quiet>
      </Typography>
      <svg aria-hidden width={WIDTH} height={LANE} viewBox={`0 0 ${WIDTH} ${LANE}`}>
        <RibbonMarks marks={marks} day={DAY} lane={LANE} before={0} />
      </svg>
      <HeardOnly>{laneWords(marks, today)}</HeardOnly>
    </Box>
  );
};

/** The first of each week over its day. */
const Weeks = ({ today }: { readonly today: LocalDate }) => (
  <Box aria-hidden sx={{ display: 'grid', gridTemplateColumns: COLUMNS }}>
    <span />
    <svg width={WIDTH} height={22} viewBox={`0 0 ${WIDTH} 22`}>
      {Array.from({ length: SITTING_DAYS }, (_, day) => day)
        .filter((day) => day === 0 || weekdayOfDay(dayNumber(today) + day) === 0)
        .map((day) => (
          <g key={day}>
            <path d={`M${day * DAY} 2V22`} strokeWidth={1} stroke={LINE} />
            <text x={day * DAY + 3} y={14} fontSize={12} fill={QUIET}>
              {day === 0 ? 'today' : FORMAT.shortDate(addDays(today, day))}
            </text>
          </g>
        ))}
    </svg>
  </Box>
);

/** Six weeks of every instrument in the record: what falls due, what is on, what is away. */
export function EverybodysRibbon({ today }: { readonly today: LocalDate }) {
  const { data: view, error } = useQuery(calendarQueries.everybody(today));
  if (error) return <Typography role="alert">{error.message}</Typography>;
  if (!view) return <LinearProgress aria-label="Reading everybody’s instruments" />;
  const now = view.lanes.filter(({ due }) => due.some(({ day }) => day === 0)).length;
  return (
    <>
      <Text below={1}>
        {counted(view.lanes.length, 'instrument')}. Something is due now on{' '}
        {now === 0 ? 'none of them' : `${now} of them`}.
      </Text>
      <Box tabIndex={-1} sx={{ overflow: 'auto', maxHeight: 560 }}>
        <Box sx={{ minWidth: { xs: 124 + WIDTH, sm: 230 + WIDTH } }}>
          <Weeks today={today} />
          <PlainList>
            {view.lanes.map((lane) => (
              <Row key={lane.instrumentId} lane={lane} today={today} />
            ))}
          </PlainList>
        </Box>
      </Box>
      <Text variant="body2" color="text.secondary" above={1}>
        A stroke: something falls due. A diamond: an audience, a rehearsal where it is empty. A dashed line: at the
        bench.
      </Text>
    </>
  );
}
