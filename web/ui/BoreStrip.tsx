import type { KeyboardEvent, MouseEvent } from 'react';
import { Box } from '@mui/material';
import type { GaugeView, StripSegment } from '#contract/instruments.ts';
import { stripGeometry, WALL, type PlacedSegment } from '#web/ui/bore-strip-geometry.ts';

export type StripPin = { readonly part: string; readonly state: GaugeView['state']; readonly count: number };
export type StripThread = { readonly in: string; readonly out: string };

type BoreStripProps = {
  readonly segments: readonly StripSegment[];
  readonly pins?: readonly StripPin[];
  readonly activePart?: string | null;
  readonly thread?: StripThread | null;
  readonly upright?: boolean;
  readonly label: string;
  /** Makes every part a button. */
  readonly onPart?: ((part: StripSegment['part'], at: Element) => void) | undefined;
};

const INK = 'var(--ulu-palette-text-primary)';
const WATER = 'var(--ulu-palette-water-main)';
const STOP = 'var(--ulu-palette-stop-main)';
const GRAMS_SHOWN = 0.02;
/** In drawing units: upright the strip is drawn at about half size. */
const LETTERS = { lying: 13, upright: 24 } as const;

/** Water as a wavy layer along the lower wall, the deeper the more of it there is. */
function Water({
  segment: { x, width, half, flares },
  depth,
}: {
  readonly segment: PlacedSegment;
  readonly depth: number;
}) {
  // A bell runs dry towards its rim: what is in it stands in its narrow part.
  const length = flares ? width * 0.55 : width;
  const [near, far] = [half[0] - WALL, (flares ? half[0] : half[1]) - WALL];
  const waves = Math.max(2, Math.round(length / 24));
  const step = length / waves;
  const fall = (far - near) / waves;
  const crest = `q${step / 4} -3 ${step / 2} ${fall / 2}t${step / 2} ${fall / 2}`.repeat(waves);
  return <path d={`M${x} ${near - depth}${crest}V${far}L${x} ${near}z`} style={{ fill: WATER, opacity: 0.85 }} />;
}

function Segment({ segment, active }: { readonly segment: PlacedSegment; readonly active: boolean }) {
  const { outline, bore, x, width, half } = segment;
  return (
    <g transform={`translate(0 ${segment.lift})`}>
      <path
        d={outline}
        strokeWidth={active ? 4 : 2}
        style={{ fill: 'var(--ulu-palette-tube-wall)', stroke: active ? INK : 'var(--ulu-palette-tube-wall)' }}
      />
      <path d={bore} style={{ fill: 'var(--ulu-palette-tube-bore)' }} />
      {segment.form === 'u-turn' && (
        <path
          d={`M${x + width * 0.5 + 10} ${-half[0] * 0.45}h-14a${half[0] * 0.45} ${half[0] * 0.45} 0 0 0 0 ${half[0] * 0.9}h14`}
          fill="none"
          strokeWidth={2}
          strokeDasharray="4 3"
          style={{ stroke: 'var(--ulu-palette-tube-wall)' }}
        />
      )}
      {segment.form === 'side' && (
        <path
          d={`M${x} ${half[0]}V${-segment.lift}`}
          strokeWidth={5}
          style={{ stroke: 'var(--ulu-palette-tube-wall)' }}
        />
      )}
      {segment.joint === 'tenon' && (
        <path
          d={`M${x + width - 4} ${-half[1] - 3}h8v${2 * half[1] + 6}h-8z`}
          style={{ fill: 'var(--ulu-palette-tube-wall)' }}
        />
      )}
      {segment.joint === 'slide' && (
        <path
          d={`M${x + width - 9} ${-half[1] - 3}v${2 * half[1] + 6}M${x + width - 4} ${-half[1] - 3}v${2 * half[1] + 6}`}
          strokeWidth={2.5}
          style={{ stroke: 'var(--ulu-palette-tube-wall)' }}
        />
      )}
    </g>
  );
}

const pinColour = (state: StripPin['state']): string => (state === 'overdue' ? STOP : INK);

function Pin({
  segment,
  pin,
  upright,
}: {
  readonly segment: PlacedSegment;
  readonly pin: StripPin;
  readonly upright: boolean;
}) {
  const x = segment.x + segment.width / 2;
  const top = segment.lift - Math.max(...segment.half);
  const word =
    pin.state === 'overdue' ? 'overdue' : pin.state === 'due' ? 'due' : pin.state === 'unknown' ? 'not known' : 'soon';
  const text = pin.count > 1 ? `${pin.count} ${word}` : word;
  return (
    <g style={{ color: pinColour(pin.state) }}>
      <path d={`M${x} ${top}V${top - 12}`} strokeWidth={2} style={{ stroke: 'currentColor' }} />
      <circle
        cx={x}
        cy={top - 14}
        r={4}
        style={{ fill: pin.state === 'unknown' ? 'none' : 'currentColor', stroke: 'currentColor', strokeWidth: 2 }}
      />
      {upright ? (
        <text
          transform={`translate(${x + LETTERS.upright / 3} ${top - 24}) rotate(-90)`}
          fontSize={LETTERS.upright}
          fontWeight={650}
          style={{ fill: 'currentColor' }}
        >
          {text}
        </text>
      ) : (
        <text
          x={x}
          y={top - 24}
          fontSize={LETTERS.lying}
          fontWeight={650}
          textAnchor="middle"
          style={{ fill: 'currentColor' }}
        >
          {text}
        </text>
      )}
    </g>
  );
}

/** The swab's way drawn as a thread with its weight at the far end; to and fro where it comes out the way it went in. */
function Thread({ placed, thread }: { readonly placed: readonly PlacedSegment[]; readonly thread: StripThread }) {
  const from = placed.find(({ part }) => part === thread.in);
  const to = placed.find(({ part }) => part === thread.out);
  if (!from || !to) return null;
  const toAndFro = from === to;
  const start = toAndFro ? from.x + from.width : from.x + from.width + 6;
  const end = toAndFro ? Math.max(8, (placed[0]?.x ?? 0) + (placed[0]?.width ?? 0) * 0.45) : to.x - 6;
  const head = end < start ? 7 : -7;
  return (
    <g style={{ color: INK }}>
      <path d={`M${start} 0L${end} 0`} strokeWidth={2.5} strokeDasharray="7 4" style={{ stroke: 'currentColor' }} />
      <path
        d={`M${end + head} -6L${end} 0L${end + head} 6`}
        fill="none"
        strokeWidth={2.5}
        style={{ stroke: 'currentColor' }}
      />
      {toAndFro && (
        <path
          d={`M${start - head} -6L${start} 0L${start - head} 6`}
          fill="none"
          strokeWidth={2.5}
          style={{ stroke: 'currentColor' }}
        />
      )}
    </g>
  );
}

type PartNameProps = {
  readonly segment: PlacedSegment;
  /** Half the width of the main line. */
  readonly widest: number;
  /** How far side tubes reach from the main line. */
  readonly sideTubes: number;
  readonly upright: boolean;
};

/** Below the main line, or left of it; of an upright side tube on the free side, clear of its pin. */
function PartName({ segment, widest, sideTubes, upright }: PartNameProps) {
  const side = segment.lift !== 0;
  const x = segment.x + segment.width * (upright && side ? 0.92 : 0.5);
  const y = side ? segment.lift + 4 : widest + 20;
  const grams = segment.waterGrams >= GRAMS_SHOWN ? ` ${segment.waterGrams.toFixed(1)} g` : '';
  const common = {
    fontSize: upright ? LETTERS.upright : LETTERS.lying,
    style: { fill: 'var(--ulu-palette-text-secondary)' },
  } as const;
  const words = (
    <>
      {segment.name}
      {grams && <tspan style={{ fill: 'var(--ulu-palette-water-ink)', fontWeight: 650 }}>{grams}</tspan>}
    </>
  );
  if (upright)
    return (
      <text
        {...common}
        transform={`translate(${x + LETTERS.upright / 3} ${side ? -sideTubes - 8 : y - 6}) rotate(-90)`}
        textAnchor={side ? 'start' : 'end'}
      >
        {words}
      </text>
    );
  return (
    <text {...common} x={x} y={y} textAnchor="middle">
      {words}
    </text>
  );
}

/** The part as a button: its whole height takes the tap, and the focus is seen round it. */
function PartButton({
  segment: { part, name, x, width, lift },
  reach,
  onPart,
}: {
  readonly segment: PlacedSegment;
  readonly reach: number;
  readonly onPart: NonNullable<BoreStripProps['onPart']>;
}) {
  return (
    <Box
      component="rect"
      role="button"
      tabIndex={0}
      aria-haspopup="menu"
      aria-label={`${name}: I see something`}
      x={x}
      y={lift - reach}
      width={width}
      height={2 * reach}
      rx={6}
      onClick={(event: MouseEvent<SVGRectElement>) => onPart(part, event.currentTarget)}
      onKeyDown={(event: KeyboardEvent<SVGRectElement>) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onPart(part, event.currentTarget);
      }}
      sx={{
        fill: 'transparent',
        cursor: 'pointer',
        outline: 'none',
        '&:hover, &:focus-visible': { stroke: INK, strokeWidth: 2, strokeDasharray: '2 4' },
      }}
    />
  );
}

/**
 * An instrument unrolled as one long tube from the mouth end to the bell: parts in true order, water where it
 * gathers, the swab's way as a thread, due work pinned to the part it concerns. Upright, it is turned a quarter so
 * that the mouth end is on top. Everything it shows is also in its label or in the lists beside it.
 */
export function BoreStrip({
  segments,
  pins = [],
  activePart = null,
  thread = null,
  upright = false,
  label,
  onPart,
}: BoreStripProps) {
  const { placed, length, widest, deepest, above: sideTubes } = stripGeometry(segments);
  const tallestPin = Math.max(
    0,
    ...placed.filter(({ part }) => pins.some((pin) => pin.part === part)).flatMap(({ half }) => half),
  );
  const pinned = upright ? widest + 180 : Math.max(widest + 6, tallestPin + 40);
  const above = Math.max(pinned, sideTubes > 0 ? sideTubes + (upright ? 150 : 26) : 0);
  const below = upright ? widest + 240 : widest + 26;
  const box = upright ? `${-below} -6 ${above + below} ${length + 12}` : `-6 ${-above} ${length + 12} ${above + below}`;
  return (
    <Box
      component="svg"
      role={onPart ? 'group' : 'img'}
      aria-label={label}
      viewBox={box}
      sx={{ width: '100%', maxHeight: upright ? '62vh' : 190, display: 'block', overflow: 'visible' }}
    >
      <g transform={upright ? 'rotate(90)' : undefined}>
        {placed.map((segment) => (
          <Segment key={segment.part} segment={segment} active={segment.part === activePart} />
        ))}
        {placed.map(
          (segment) =>
            segment.waterGrams >= GRAMS_SHOWN &&
            segment.lift === 0 && (
              <Water
                key={segment.part}
                segment={segment}
                depth={4 + (9 * segment.waterGrams) / Math.max(deepest, GRAMS_SHOWN)}
              />
            ),
        )}
        {thread && <Thread placed={placed} thread={thread} />}
        {placed.map((segment) => (
          <PartName key={segment.part} segment={segment} widest={widest} sideTubes={sideTubes} upright={upright} />
        ))}
        {pins.map((pin) => {
          const segment = placed.find(({ part }) => part === pin.part);
          return segment && <Pin key={pin.part} segment={segment} pin={pin} upright={upright} />;
        })}
        {onPart &&
          placed.map((segment) => (
            <PartButton
              key={segment.part}
              segment={segment}
              reach={segment.lift === 0 ? widest + 4 : Math.max(...segment.half) + 6}
              onPart={onPart}
            />
          ))}
      </g>
    </Box>
  );
}
