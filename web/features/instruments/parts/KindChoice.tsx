import { Box, ButtonBase } from '@mui/material';
import type { KindView } from '#contract/instruments.ts';
import { Silhouette } from '#web/ui/Silhouette.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type KindChoiceProps = {
  readonly kinds: readonly KindView[];
  readonly chosen: string | null;
  readonly onChoose: (kind: KindView) => void;
};

/** One large place a kind, under the family it belongs to. */
export function KindChoice({ kinds, chosen, onChoose }: KindChoiceProps) {
  const families = [...new Set(kinds.map(({ family }) => family))];
  return (
    <Grid gap={1.5}>
      {families.map((family) => (
        <Box key={family} role="group" aria-label={family}>
          <Text variant="body2" color="text.secondary" below={0.5}>
            {family}
          </Text>
          <Row wrap>
            {kinds
              .filter((kind) => kind.family === family)
              .map((kind) => (
                <ButtonBase
                  key={kind.id}
                  aria-pressed={kind.id === chosen}
                  onClick={() => onChoose(kind)}
                  sx={{
                    flexDirection: 'column',
                    gap: 0.25,
                    width: { xs: 104, sm: 112 },
                    minHeight: 84,
                    px: 0.5,
                    borderRadius: 1.5,
                    border: '2px solid',
                    borderColor: kind.id === chosen ? 'text.primary' : 'divider',
                    bgcolor: kind.id === chosen ? 'well.deep' : 'transparent',
                    fontFamily: 'inherit',
                    fontSize: '0.9375rem',
                    fontWeight: 650,
                    lineHeight: 1.15,
                  }}
                >
                  <Silhouette kind={kind.id} size={40} />
                  {kind.name}
                </ButtonBase>
              ))}
          </Row>
        </Box>
      ))}
    </Grid>
  );
}
