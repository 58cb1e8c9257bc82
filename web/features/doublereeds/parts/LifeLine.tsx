import type { CardView } from '#contract/doublereeds.ts';
import { CANE, INK } from '#web/features/doublereeds/parts/ReedFigure.tsx';
import { dayNumber } from '#core/time/local-date.ts';

const WIDTH = 700;
const Y = 26;
/** How each mark stands on the line. */
const MARK: Readonly<Record<CardView['line'][number]['what'], (x: number) => React.ReactNode>> = {
  came: (x) => <path d={`M${x} ${Y - 12}v24`} stroke={INK} strokeWidth={3} />,
  first: (x) => <circle cx={x} cy={Y} r={7} fill={CANE} stroke={INK} strokeWidth={2} />,
  look: (x) => <circle cx={x} cy={Y} r={3} fill={INK} />,
  step: (x) => <path d={`M${x} ${Y}l6 -12h-12z`} fill={INK} />,
  grade: (x) => <path d={`M${x - 5} ${Y + 12}h10`} stroke={INK} strokeWidth={4} />,
  end: (x) => <path d={`M${x - 7} ${Y - 7}l14 14M${x + 7} ${Y - 7}l-14 14`} stroke={INK} strokeWidth={3} />,
};

/** Its life as a line: when it came, was opened, looked at, changed, graded, and ended. The list below says the same. */
export function LifeLine({ line }: Pick<CardView, 'line'>) {
  const days = line.map(({ on }) => dayNumber(on));
  const [first, last] = [Math.min(...days), Math.max(...days)];
  const xOf = (day: number): number => 12 + ((WIDTH - 24) * (day - first)) / Math.max(1, last - first);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 52`}
      width="100%"
      role="img"
      aria-label="Its life as a line; the list below says the same"
    >
      <path d={`M12 ${Y}h${WIDTH - 24}`} stroke={CANE} strokeWidth={8} strokeLinecap="round" />
      {line.map(({ what }, at) => (
        <g key={at}>{MARK[what](xOf(days[at] ?? first))}</g>
      ))}
    </svg>
  );
}
