import { Typography } from '@mui/material';
import type { ReactNode } from 'react';
import type { RibbonMark } from '#web/features/calendar/parts/ribbon-lanes.ts';
import { Row } from '#web/ui/layout.tsx';

const INK = 'var(--ulu-palette-text-primary)';
const QUIET = 'var(--ulu-palette-text-secondary)';
const LINE = 'var(--ulu-palette-divider)';
const CANE = 'var(--ulu-palette-cane-main)';

/** Where a mark is drawn: the left and the right edge of its days, and the middle of its lane. */
type Place = { readonly left: number; readonly right: number; readonly middle: number };

/** Shape tells what it is, never the colour alone. */
const SHAPES: Readonly<Record<RibbonMark['kind'], (place: Place) => ReactNode>> = {
  audience: ({ left, right, middle }) => (
    <path d={`M${(left + right) / 2} ${middle - 8}l6 8l-6 8l-6 -8z`} strokeWidth={1.5} fill={INK} stroke={INK} />
  ),
  rehearsal: ({ left, right, middle }) => (
    <path d={`M${(left + right) / 2} ${middle - 6}l5 6l-5 6l-5 -6z`} strokeWidth={1.5} fill="none" stroke={INK} />
  ),
  off: ({ left, right, middle }) => (
    <rect x={left + 2} y={middle - 5} width={right - left - 4} height={10} rx={5} fill={LINE} stroke={QUIET} />
  ),
  away: ({ left, right, middle }) => (
    <path
      d={`M${left + 3} ${middle - 6}v12M${right - 3} ${middle - 6}v12M${left + 3} ${middle}H${right - 3}`}
      strokeWidth={2}
      strokeDasharray="5 3"
      fill="none"
      stroke={INK}
    />
  ),
  range: ({ left, right, middle }) => (
    <rect x={left + 2} y={middle - 4} width={right - left - 4} height={8} rx={2} fill={LINE} />
  ),
  due: ({ left, right, middle }) => (
    <path d={`M${(left + right) / 2} ${middle - 9}v18`} strokeWidth={2} stroke={QUIET} />
  ),
  planned: ({ left, right, middle }) => (
    <circle cx={(left + right) / 2} cy={middle} r={5} strokeWidth={2} fill="none" stroke={INK} />
  ),
  done: ({ left, right, middle }) => <circle cx={(left + right) / 2} cy={middle} r={5} fill={INK} />,
  'break-in': ({ left, right, middle }) => (
    <path
      d={`M${left + 4} ${middle - 6}v12M${right - 4} ${middle - 6}v12M${left + 4} ${middle}H${right - 4}`}
      strokeWidth={2.5}
      fill="none"
      stroke={CANE}
    />
  ),
  order: ({ left, right, middle }) => (
    <rect x={(left + right) / 2 - 6} y={middle - 6} width={12} height={12} strokeWidth={1.5} fill={CANE} stroke={INK} />
  ),
};

/** What each shape says, beside it. */
const MEANS: Readonly<Record<RibbonMark['kind'], string>> = {
  audience: 'an audience',
  rehearsal: 'a rehearsal',
  off: 'a holiday or a journey',
  away: 'at the bench',
  range: 'may fall due',
  due: 'probably falls due',
  planned: 'care planned',
  done: 'care done',
  'break-in': 'a reed is broken in',
  order: 'order reeds',
};
const KINDS = Object.keys(MEANS) as RibbonMark['kind'][];
const KEY = { width: 26, height: 20 };

type RibbonKeyProps = { readonly shown: ReadonlySet<RibbonMark['kind']>; readonly first?: ReactNode };

/** What the shapes that are there mean, each drawn once. */
export const RibbonKey = ({ shown, first }: RibbonKeyProps) => (
  <Row gap={2} wrap above={0.5}>
    {first}
    {KINDS.filter((kind) => shown.has(kind)).map((kind) => (
      <KeyEntry key={kind} words={MEANS[kind]}>
        {SHAPES[kind]({ left: 0, right: KEY.width, middle: KEY.height / 2 })}
      </KeyEntry>
    ))}
  </Row>
);

/** A shape with what it means. */
export const KeyEntry = ({ words, children }: { readonly words: string; readonly children: ReactNode }) => (
  <Typography variant="body2" color="text.secondary" sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
    <svg width={KEY.width} height={KEY.height} aria-hidden>
      {children}
    </svg>
    {words}
  </Typography>
);

type RibbonMarksProps = {
  readonly marks: readonly RibbonMark[];
  /** Widths of a day and height of the lane, px. */
  readonly day: number;
  readonly lane: number;
  /** Days drawn before today. */
  readonly before: number;
};

/** What lies on one lane of a ribbon. */
export const RibbonMarks = ({ marks, day, lane, before }: RibbonMarksProps) => (
  <>
    {marks.map(({ kind, from, to, words }, at) => (
      <g key={`${kind} ${from} ${at}`}>
        <title>{words}</title>
        {SHAPES[kind]({ left: (before + from) * day, right: (before + to + 1) * day, middle: lane / 2 - 1 })}
      </g>
    ))}
  </>
);
