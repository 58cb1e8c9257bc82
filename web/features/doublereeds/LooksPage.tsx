import { Typography } from '@mui/material';
import { LookPair, type DrawnLook } from '#web/features/doublereeds/parts/LookPair.tsx';
import type { Shape } from '#web/features/doublereeds/parts/ReedFigure.tsx';
import { Actions } from '#web/ui/Actions.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Grid, Space } from '#web/ui/layout.tsx';

const PAIRS: readonly { readonly look: DrawnLook; readonly shape: Shape; readonly title: string }[] = [
  { look: 'light', shape: 'oboe', title: 'Oboe: a crack' },
  { look: 'light', shape: 'bassoon', title: 'Bassoon: a crack' },
  { look: 'corners', shape: 'oboe', title: 'Oboe: the corners' },
  { look: 'corners', shape: 'bassoon', title: 'Bassoon: the corners' },
  { look: 'heart', shape: 'oboe', title: 'Oboe: the heart' },
  { look: 'heart', shape: 'bassoon', title: 'Bassoon: the heart' },
  { look: 'opening', shape: 'oboe', title: 'Oboe: the opening' },
  { look: 'opening', shape: 'bassoon', title: 'Bassoon: the opening' },
  { look: 'offset', shape: 'oboe', title: 'Oboe, cor anglais: the offset' },
];

/** Nine pairs on one sheet: how a double reed should look, beside how it should not. */
export function LooksPage() {
  return (
    <Space width={900}>
      <Space data-not-printed below={2}>
        <Actions>
          <BrassButton onClick={() => window.print()}>Print it</BrassButton>
        </Actions>
      </Space>
      <Typography variant="h1">How a double reed looks</Typography>
      <Typography color="text.secondary">
        Look at it wet, from both sides, before every playing. Drawings, not measures: the maker’s leaflet comes first.
      </Typography>
      <Grid columns={{ xs: '1fr', sm: '1fr 1fr 1fr' }} gap={2} above={2}>
        {PAIRS.map(({ look, shape, title }) => (
          <Space key={title} component="section" aria-label={title}>
            <Typography variant="h2">{title}</Typography>
            <LookPair look={look} shape={shape} />
          </Space>
        ))}
      </Grid>
    </Space>
  );
}
