import { Box } from '@mui/material';
import type { StripSegment } from '#contract/instruments.ts';
import { stripGeometry, WALL, type PlacedSegment } from '#web/ui/bore-strip-geometry.ts';
import {
  GRAMS_SHOWN,
  HELD_KEY_REACH,
  HeldKeyMark,
  INK,
  PartButton,
  PartName,
  Pin,
  type HeldKeyView,
  type OnPart,
  type StripPin,
} from '#web/ui/bore-strip-marks.tsx';

export type StripThread = { readonly in: string; readonly out: string };

type BoreStripProps = {
  readonly segments: readonly StripSegment[];
  readonly pins?: readonly StripPin[];
  readonly activePart?: string | null;
  readonly thread?: StripThread | null;
  /** A key to hold meanwhile; drawn on a lying strip only. */
  readonly holds?: HeldKeyView | null;
  readonly upright?: boolean;
  /** Without the names of its parts, where the words beside it say them. */
  readonly bare?: boolean;
  /** Only these parts and what lies between them, drawn large. */
  readonly focus?: readonly string[];
  readonly label: string;
  /** Makes every part a button. */
  readonly onPart?: OnPart | undefined;
};

const WATER = 'var(--ulu-palette-water-main)';
/** What is seen beside the parts that are drawn large, in drawing units. */
const FOCUS_MARGIN = 70;

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

const holdsWater = ({ waterGrams, lift }: PlacedSegment): boolean => waterGrams >= GRAMS_SHOWN && lift === 0;

/** How high a strip may be; one drawn large is cut off at its sides. */
const sizeOf = (upright: boolean, large: boolean) => ({
  maxHeight: upright ? '62vh' : large ? 260 : 190,
  overflow: large ? 'hidden' : 'visible',
});

/** How far the drawing reaches above the middle line of the tube and below it, drawing units. */
type Reach = readonly [above: number, below: number];

/** Upright, the names stand beside the tube; bare, there are none. */
const uprightReach = (widest: number, sideTubes: number, bare: boolean): Reach => [
  Math.max(widest + (bare ? 6 : 180), sideTubes > 0 ? sideTubes + 150 : 0),
  widest + (bare ? 6 : 240),
];

/** Lying, the pins stand on the tube and the names below it. */
function lyingReach({
  placed,
  widest,
  sideTubes,
  pins,
  heldOn,
}: {
  readonly placed: readonly PlacedSegment[];
  readonly widest: number;
  readonly sideTubes: number;
  readonly pins: readonly StripPin[];
  readonly heldOn: PlacedSegment | undefined;
}): Reach {
  const pinned = placed.filter(({ part }) => pins.some((pin) => pin.part === part)).flatMap(({ half }) => half);
  const tallest = Math.max(0, ...pinned);
  const held = heldOn ? Math.max(...heldOn.half) - heldOn.lift + HELD_KEY_REACH : 0;
  return [Math.max(widest + 6, tallest + 40, held, sideTubes > 0 ? sideTubes + 26 : 0), widest + 26];
}

/** The whole strip as a view box. */
const wholeBox = (length: number, [above, below]: Reach, upright: boolean): string =>
  upright ? `${-below} -6 ${above + below} ${length + 12}` : `-6 ${-above} ${length + 12} ${above + below}`;

/** The part of the strip that is drawn large, as a view box. */
function boxAround(near: readonly PlacedSegment[], length: number, [above, below]: Reach): string {
  const from = Math.max(-6, Math.min(...near.map(({ x }) => x)) - FOCUS_MARGIN);
  const to = Math.min(length + 6, Math.max(...near.map(({ x, width }) => x + width)) + FOCUS_MARGIN);
  return `${from} ${-above} ${to - from} ${above + below}`;
}

type Framed = Required<Pick<BoreStripProps, 'segments' | 'pins' | 'holds' | 'upright' | 'bare' | 'focus'>>;

/** Where everything lies, which parts are drawn large, and the view box round it. */
function framed({ segments, pins, holds, upright, bare, focus }: Framed) {
  const { placed, length, widest, deepest, above: sideTubes } = stripGeometry(segments);
  const heldOn = upright ? undefined : placed.find(({ part }) => part === holds?.part);
  const near = placed.filter(({ part }) => focus.includes(part));
  const reach = upright
    ? uprightReach(widest, sideTubes, bare)
    : lyingReach({ placed, widest, sideTubes, pins, heldOn });
  const box = upright || near.length === 0 ? wholeBox(length, reach, upright) : boxAround(near, length, reach);
  return { placed, near, heldOn, widest, deepest, sideTubes, box };
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
  holds = null,
  upright = false,
  bare = false,
  focus = [],
  label,
  onPart,
}: BoreStripProps) {
  const { placed, near, heldOn, widest, deepest, sideTubes, box } = framed({
    segments,
    pins,
    holds,
    upright,
    bare,
    focus,
  });
  return (
    <Box
      component="svg"
      role={onPart ? 'group' : 'img'}
      aria-label={label}
      viewBox={box}
      sx={{
        width: '100%',
        display: 'block',
        ...sizeOf(upright, near.length > 0),
      }}
    >
      <g transform={upright ? 'rotate(90)' : undefined}>
        {placed.map((segment) => (
          <Segment key={segment.part} segment={segment} active={segment.part === activePart} />
        ))}
        {placed.filter(holdsWater).map((segment) => (
          <Water
            key={segment.part}
            segment={segment}
            depth={4 + (9 * segment.waterGrams) / Math.max(deepest, GRAMS_SHOWN)}
          />
        ))}
        {thread && <Thread placed={placed} thread={thread} />}
        {heldOn && holds && <HeldKeyMark segment={heldOn} holds={holds} />}
        {(bare ? [] : near.length > 0 ? near : placed).map((segment) => (
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
