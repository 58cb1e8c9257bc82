import { Box, Typography, useMediaQuery, type Theme } from '@mui/material';
import { counted, duration } from '#core/explain/format.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';
import type { ReedDaysView } from '#contract/reed-views.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { firstDayOfWeek } from '#web/session/settings.ts';
import { FORMAT } from '#web/clock/format.ts';
import {
  lanesOf,
  PAST_DAYS,
  ribbonSittings,
  type MovingSitting,
  type RibbonLane,
  type RibbonSitting,
} from '#web/features/calendar/parts/ribbon-lanes.ts';
import { KeyEntry, RibbonKey, RibbonMarks } from '#web/features/calendar/parts/RibbonMarks.tsx';
import { MovesDrawing } from '#web/ui/MovesDrawing.tsx';
import { HeardOnly } from '#web/ui/HeardOnly.tsx';
import { useMoves, type Cell } from '#web/ui/use-moves.ts';
import { Grid, Space } from '#web/ui/layout.tsx';

/** How large it is drawn: days as wide as a pointer needs them, or as a thumb does. */
type RibbonSize = { readonly day: number; readonly top: number; readonly row: number; readonly lane: number };
const AT_A_TABLE: RibbonSize = { day: 20, top: 24, row: 60, lane: 26 };
const IN_A_HAND: RibbonSize = { day: 34, top: 24, row: 60, lane: 30 };
/** The longest stroke stands for so many minutes. */
const LONGEST = 60;
const DAYS = PAST_DAYS + SITTING_DAYS;

const INK = 'var(--ulu-palette-text-primary)';
const QUIET = 'var(--ulu-palette-text-secondary)';
const LINE = 'var(--ulu-palette-divider)';
const BRASS = 'var(--ulu-palette-brass-main)';

type Drawn = { readonly today: LocalDate; readonly size: RibbonSize; readonly height: number };

/** What is narrower cuts the date, px. */
const LABEL = 44;

/** The first of each week over its day, and a thread where today begins. */
const Days = ({ today, size: { day: wide, top }, height }: Drawn) => (
  <g aria-hidden>
    {Array.from({ length: DAYS }, (_, index) => index)
      .filter((index) => weekdayOfDay(dayNumber(today) + index - PAST_DAYS) === firstDayOfWeek())
      .map((index) => (
        <g key={index}>
          <path d={`M${index * wide} ${top - 4}V${height}`} strokeWidth={1} stroke={LINE} />
          {(DAYS - index) * wide >= LABEL && (
            <text x={index * wide + 3} y={14} fontSize={12} fill={QUIET}>
              {FORMAT.shortDate(addDays(today, index - PAST_DAYS))}
            </text>
          )}
        </g>
      ))}
    <path d={`M${PAST_DAYS * wide} ${top - 6}V${height}`} strokeWidth={2.5} stroke={INK} />
  </g>
);

/** "Sitting on Sat 28 Nov: about 25 min, 3 things, set by you". */
const sittingName = (today: LocalDate, { day, minutes, isSet, things }: Omit<RibbonSitting, 'row' | 'uid'>): string =>
  `Sitting on ${FORMAT.weekdayDate(addDays(today, day))}: about ${duration(minutes)}, ${counted(things, 'thing')}${isSet ? ', set by you' : ''}`;

const Stroke = ({
  minutes,
  isSet,
  size,
  look,
}: Pick<RibbonSitting, 'minutes' | 'isSet'> & { readonly size: RibbonSize; readonly look: 'planned' | 'held' }) => {
  const long = 8 + (size.row - 22) * Math.min(1, minutes / LONGEST);
  const foot = size.row - 6;
  return (
    <>
      <rect
        x={size.day / 2 - 6}
        y={foot - long}
        width={12}
        height={long}
        rx={4}
        strokeWidth={1.5}
        strokeDasharray={look === 'held' ? '3 2' : undefined}
        fill={BRASS}
        stroke={INK}
      />
      {isSet && <circle cx={size.day / 2} cy={foot - long - 5} r={3.5} fill={INK} />}
    </>
  );
};

/** The sittings, each reached by keys, pulled by the mouse, and tapped. */
function Sittings({ today, size, moves }: Drawn & { readonly moves: ReturnType<typeof useMoves<RibbonSitting>> }) {
  const { things, held, on } = moves;
  const place = ({ day }: Cell): string => `translate(${(PAST_DAYS + day) * size.day} ${size.top})`;
  return (
    <>
      {things.map((sitting) => (
        <g
          key={sitting.uid}
          role="button"
          data-cell={`0 ${sitting.day}`}
          aria-label={sittingName(today, sitting)}
          transform={place(sitting)}
          style={{ cursor: 'grab', outline: 'none' }}
          {...on(sitting)}
        >
          <rect className="reach" width={size.day} height={size.row - 2} fill="transparent" />
          <Stroke {...sitting} size={size} look="planned" />
        </g>
      ))}
      {held && (
        <g aria-hidden transform={place(held.to)} pointerEvents="none">
          <Stroke {...held.thing} isSet size={size} look="held" />
        </g>
      )}
    </>
  );
}

/** The same as a table, for those who hear the page. */
const Table = ({ lanes, today }: { readonly lanes: readonly RibbonLane[]; readonly today: LocalDate }) => (
  <HeardOnly>
    <table>
      <caption>Two weeks behind and six ahead</caption>
      <tbody>
        {lanes.map(({ key, name, marks }) => (
          <tr key={key}>
            <th scope="row">{name}</th>
            <td>
              {marks
                .map(({ from, to, words }) => {
                  const first = FORMAT.shortDate(addDays(today, from));
                  return `${first}${to > from ? ` to ${FORMAT.shortDate(addDays(today, to))}` : ''}: ${words}`;
                })
                .join('; ') || 'nothing'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  </HeardOnly>
);

const Names = ({ lanes, size }: { readonly lanes: readonly RibbonLane[]; readonly size: RibbonSize }) => (
  <Box aria-hidden sx={{ pt: `${size.top}px` }}>
    {[{ key: 'sittings', name: 'Sittings' }, ...lanes].map(({ key, name }, at) => (
      <Typography
        key={key}
        variant="body2"
        sx={{
          height: at === 0 ? size.row : size.lane,
          lineHeight: `${at === 0 ? size.row : size.lane}px`,
          fontWeight: at === 0 ? 650 : 400,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
          pr: 1,
        }}
      >
        {name}
      </Typography>
    ))}
  </Box>
);

type WeekRibbonProps = {
  readonly view: SittingsView;
  readonly reeds: ReedDaysView | undefined;
  /** One instrument alone, a lane for each thing of it; all of them where none is named. */
  readonly only: InstrumentId | null;
  /** One that has been put down elsewhere just now. */
  readonly moving: MovingSitting | null;
  readonly onMove: (uid: string, to: LocalDate) => void;
  readonly onOpen: (uid: string) => void;
};

/** What the strokes of the first row are. */
const SITTING_KEY = (
  <>
    <KeyEntry words="a sitting: tap it to open it, pull it to another day">
      <rect x={7} y={3} width={12} height={14} rx={4} strokeWidth={1.5} fill={BRASS} stroke={INK} />
    </KeyEntry>
    <KeyEntry words="you have set its day">
      <rect x={7} y={8} width={12} height={10} rx={4} strokeWidth={1.5} fill={BRASS} stroke={INK} />
      <circle cx={13} cy={4} r={3.5} fill={INK} />
    </KeyEntry>
  </>
);

/**
 * Two weeks behind and six ahead in one drawing: the sittings, what is on, each instrument, the reeds. On a narrow screen
 * it opens at today and is swiped.
 */
export function WeekRibbon({ view, reeds, only, moving, onMove, onOpen }: WeekRibbonProps) {
  const { today } = view;
  const size = useMediaQuery<Theme>((theme) => theme.breakpoints.down('sm')) ? IN_A_HAND : AT_A_TABLE;
  const lanes = lanesOf(view, reeds, only);
  const sittings = ribbonSittings(view, only).map((one) =>
    one.uid === moving?.uid ? { ...one, day: moving.day, isSet: true } : one,
  );
  const moves = useMoves({
    things: sittings,
    size: { row: size.row, day: size.day },
    shifted: ({ day }, by) => ({ row: 0, day: Math.min(SITTING_DAYS - 1, Math.max(0, day + by.day)) }),
    neighbour: ({ day }, key) =>
      (key === 'ArrowRight'
        ? sittings.find((one) => one.day > day)
        : key === 'ArrowLeft'
          ? sittings.findLast((one) => one.day < day)
          : undefined) ?? { row: 0, day },
    onMove: ({ uid }, to) => onMove(uid, addDays(today, to.day)),
    onOpen: ({ uid }) => onOpen(uid),
  });
  const [width, height] = [DAYS * size.day, size.top + size.row + lanes.length * size.lane];
  const { held } = moves;
  return (
    <>
      <Table lanes={lanes} today={today} />
      <Grid gap={0} columns={{ xs: '104px minmax(0, 1fr)', sm: '170px minmax(0, 1fr)' }}>
        <Names lanes={lanes} size={size} />
        <MovesDrawing
          label="Sittings. Arrow keys go from one to the next, the space bar picks one up and puts it down, Enter opens it."
          width={width}
          height={height}
          // Two days of record stay in sight.
          opensAt={(PAST_DAYS - 2) * size.day}
        >
          <Days today={today} size={size} height={height} />
          {[{ key: 'sittings' }, ...lanes].map(({ key }, at) => (
            <path
              key={key}
              aria-hidden
              d={`M0 ${size.top + size.row + at * size.lane - 2}H${width}`}
              strokeWidth={1}
              stroke={LINE}
            />
          ))}
          {lanes.map((lane, at) => (
            <g key={lane.key} aria-hidden transform={`translate(0 ${size.top + size.row + at * size.lane})`}>
              <RibbonMarks marks={lane.marks} day={size.day} lane={size.lane} before={PAST_DAYS} />
            </g>
          ))}
          <Sittings today={today} size={size} height={height} moves={moves} />
        </MovesDrawing>
      </Grid>
      <Space height={24}>
        <Typography role="status" variant="body2" color="text.secondary">
          {held
            ? `${sittingName(today, { ...held.thing, ...held.to, isSet: false })}. That day has ${duration(view.time[held.to.day] ?? 0)}.`
            : moving
              ? 'Planning the rest round it …'
              : ''}
        </Typography>
      </Space>
      <RibbonKey shown={new Set(lanes.flatMap(({ marks }) => marks.map(({ kind }) => kind)))} first={SITTING_KEY} />
    </>
  );
}
