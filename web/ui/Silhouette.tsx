import { Box } from '@mui/material';
import type { KindId } from '#core/instruments/kind.ts';
import { SILHOUETTES } from '#web/ui/silhouette-outlines.ts';

/** Our own outline of each kind. */
export function Silhouette({ kind, size = 40 }: { readonly kind: KindId; readonly size?: number }) {
  return (
    <Box component="svg" aria-hidden viewBox="0 0 48 48" sx={{ width: size, height: size, flexShrink: 0 }}>
      {SILHOUETTES[kind].map((path) => (
        <path
          key={path}
          d={path}
          fill="none"
          strokeWidth={2.4}
          strokeLinecap="round"
          strokeLinejoin="round"
          style={{ stroke: 'currentColor' }}
        />
      ))}
    </Box>
  );
}
