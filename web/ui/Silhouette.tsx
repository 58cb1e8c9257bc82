import { Box } from '@mui/material';
import type { KindId } from '#core/instruments/kind.ts';

/** Our own outline of each kind, one stroke of tube and a bell; drawn for 48 × 48. */
const OUTLINES: Readonly<Record<KindId, readonly string[]>> = {
  clarinet: ['M38 6l-3 5', 'M35 11L15 38', 'M15 38q-4 2 -6 7q6 0 9 -4', 'M30 17l3 2M26 23l3 2M22 28l3 2M19 33l3 2'],
  trumpet: [
    'M4 21h3M7 21h27',
    'M34 21q5 -1 9 -7v18q-4 -7 -9 -7',
    'M34 27H18q-5 0 -5 -3t5 -3',
    'M20 17v16M25 17v16M30 17v16',
    'M15 31q-4 0 -4 -3',
  ],
};

export function Silhouette({ kind, size = 40 }: { readonly kind: KindId; readonly size?: number }) {
  return (
    <Box component="svg" aria-hidden viewBox="0 0 48 48" sx={{ width: size, height: size, flexShrink: 0 }}>
      {OUTLINES[kind].map((path) => (
        <path
          key={path}
          d={path}
          fill="none"
          strokeWidth={2.6}
          strokeLinecap="round"
          strokeLinejoin="round"
          style={{ stroke: 'currentColor' }}
        />
      ))}
    </Box>
  );
}
