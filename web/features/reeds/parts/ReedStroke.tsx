import type { RowsSize } from '#web/features/reeds/parts/reed-rows-grid.ts';

const INK = 'var(--ulu-palette-text-primary)';
const CANE = 'var(--ulu-palette-cane-main)';
const CANE_INK = 'var(--ulu-palette-cane-ink)';

/** The longest stroke stands for so many minutes. */
const LONGEST_MINUTES = 90;
const WIDTH = 7;

type ReedStrokeProps = {
  readonly x: number;
  readonly minutes: number;
  readonly size: RowsSize;
  /** Played, planned, or in the hand that moves it. */
  readonly look: 'played' | 'planned' | 'held';
  readonly cap?: number | null;
  /** The player has set it: it stands on a peg, or is crossed out where none is wanted. */
  readonly isSet?: boolean;
};

/** Minutes of a day as the length of a stroke: full where they were played, outlined where they are planned. */
export function ReedStroke({ x, minutes, size, look, cap = null, isSet = false }: ReedStrokeProps) {
  const lengthOf = (some: number): number => (size.row - 8) * Math.min(1, some / LONGEST_MINUTES);
  const length = lengthOf(minutes);
  const foot = size.row - 3;
  const middle = x + size.day / 2;
  return (
    <>
      {minutes > 0 && (
        <rect
          x={middle - WIDTH / 2}
          y={foot - length}
          width={WIDTH}
          height={length}
          rx={2}
          strokeWidth={look === 'played' ? 0 : 1.5}
          strokeDasharray={look === 'held' ? '2 2' : undefined}
          fill={look === 'planned' ? 'transparent' : CANE}
          stroke={look === 'held' ? INK : CANE_INK}
        />
      )}
      {cap !== null && (
        <path d={`M${middle - 5.5} ${foot - lengthOf(cap) - 2}v-2h11v2`} fill="none" strokeWidth={1.2} stroke={INK} />
      )}
      {isSet &&
        (minutes > 0 ? (
          <circle cx={middle} cy={foot - 1} r={3.2} fill={INK} />
        ) : (
          <path d={`M${middle - 3.5} ${foot - 8}l7 7m0 -7l-7 7`} strokeWidth={1.5} stroke={INK} />
        ))}
    </>
  );
}
