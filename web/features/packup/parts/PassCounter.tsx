import { Box, Button, Typography } from '@mui/material';
import { counted as inWords } from '#core/explain/format.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Row, Space } from '#web/ui/layout.tsx';

type PassCounterProps = {
  readonly count: number;
  readonly repeats: NonNullable<ShownStep['repeats']>;
  readonly made: number;
  readonly onCount: (count: number) => void;
};

/** How many passes, how many made: one large button a pass. What is done once is not counted. */
export function PassCounter({ count, repeats: { noun, because }, made, onCount }: PassCounterProps) {
  if (count + made <= 1) return null;
  const about = because.length > 0 ? 'about ' : '';
  return (
    <Space above={1.5} below={1.5}>
      <Row gap={1.5} wrap align="center">
        <Button
          variant="outlined"
          color="inherit"
          onClick={() => onCount(made + 1)}
          aria-label={`${noun} ${made + 1}: ${made} of ${about}${count} made`}
          sx={{ minHeight: 56, minWidth: 132, borderWidth: 2 }}
        >
          {noun} {made + 1}
        </Button>
        <Row gap={0.5} aria-hidden>
          {Array.from({ length: Math.max(count, made) }, (_, index) => (
            <Box
              key={index}
              sx={{
                width: 14,
                height: 30,
                borderRadius: '4px 4px 7px 7px',
                border: '2px solid',
                borderColor: 'text.primary',
                bgcolor: index < made ? 'text.primary' : 'transparent',
              }}
            />
          ))}
        </Row>
        <Typography variant="h3" component="p">
          {made} of {about}
          {inWords(count, noun === 'pass' && count !== 1 ? 'passe' : noun)}
        </Typography>
        {made > 0 && (
          <Button color="inherit" onClick={() => onCount(made - 1)} aria-label={`−1: one ${noun} fewer`}>
            −1
          </Button>
        )}
      </Row>
      {because.length > 0 && <WhyFold lines={because} about={`${about}${count} ${noun}`} />}
    </Space>
  );
}
