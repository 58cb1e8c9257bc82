import { Typography, useMediaQuery, useTheme } from '@mui/material';
import type { StripSegment } from '#contract/instruments.ts';
import { BoreStrip, type StripThread } from '#web/ui/BoreStrip.tsx';
import type { OnPart, StripPin } from '#web/ui/bore-strip-marks.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { FORMAT } from '#web/clock/format.ts';
import { Row } from '#web/ui/layout.tsx';

type StripHeadProps = {
  readonly title: string;
  readonly subtitle: string;
  readonly segments: readonly StripSegment[];
  readonly pins?: readonly StripPin[];
  readonly activePart?: string | null;
  readonly thread?: StripThread | null;
  /** What a tap on a part is for. */
  readonly hint?: string;
  readonly onPart?: OnPart;
};

/** The head of an instrument's page: its name and the bore strip, lying on a wide screen, upright on a phone. */
export function StripHead({ title, subtitle, segments, hint, ...strip }: StripHeadProps) {
  const upright = useMediaQuery(useTheme().breakpoints.down('sm'));
  const grams = segments.reduce((sum, { waterGrams }) => sum + waterGrams, 0);
  const water = grams > 0 ? `, about ${FORMAT.grams(grams)} of water in it` : '';
  return (
    <Compartment>
      <Row gap={1.5} wrap align="baseline" below={0.5}>
        <Typography variant="h1">{title}</Typography>
        <Typography color="text.secondary">{subtitle}</Typography>
        {hint && (
          <Typography variant="body2" color="text.secondary" sx={{ ml: 'auto' }}>
            {hint}
          </Typography>
        )}
      </Row>
      <BoreStrip
        segments={segments}
        {...strip}
        upright={upright}
        label={`${title} unrolled from mouthpiece to bell${water}`}
      />
    </Compartment>
  );
}
