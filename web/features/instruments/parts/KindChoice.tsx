import { Box, ButtonBase } from '@mui/material';
import type { KindView } from '#contract/instruments.ts';
import { Silhouette } from '#web/ui/Silhouette.tsx';

type KindChoiceProps = {
  readonly kinds: readonly KindView[];
  readonly chosen: string | null;
  readonly onChoose: (kind: KindView) => void;
};

/** One large place a kind. */
export function KindChoice({ kinds, chosen, onChoose }: KindChoiceProps) {
  return (
    <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
      {kinds.map((kind) => (
        <ButtonBase
          key={kind.id}
          aria-pressed={kind.id === chosen}
          onClick={() => onChoose(kind)}
          sx={{
            flexDirection: 'column',
            gap: 0.5,
            minWidth: 132,
            minHeight: 104,
            borderRadius: 3,
            border: '2px solid',
            borderColor: kind.id === chosen ? 'text.primary' : 'divider',
            bgcolor: kind.id === chosen ? 'well.deep' : 'transparent',
            fontSize: '1rem',
            fontWeight: 650,
          }}
        >
          <Silhouette kind={kind.id} size={52} />
          {kind.name}
        </ButtonBase>
      ))}
    </Box>
  );
}
