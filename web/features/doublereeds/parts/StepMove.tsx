import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import { LARGEST_SLIP, type ReedStep } from '#core/doublereeds/examination.ts';
import type { MoveView } from '#contract/doublereeds.ts';
import { FORMAT } from '#web/clock/format.ts';
import { StepFigure } from '#web/features/doublereeds/parts/StepFigure.tsx';
import type { Shape } from '#web/features/doublereeds/parts/ReedFigure.tsx';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Caution } from '#web/ui/Caution.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type StepMoveProps = {
  readonly step: NonNullable<MoveView['step']>;
  readonly how: string | null;
  readonly shape: Shape;
  readonly busy: boolean;
  readonly onTaken: (taken: { step: ReedStep; tenths: number }) => void;
};

/** It became more than was meant: so much stands in the record, for what is cut does not come back. */
function Slipped({ step, busy, onTaken }: Pick<StepMoveProps, 'step' | 'busy' | 'onTaken'>) {
  const [tenths, setTenths] = useState(step.tenths + 1);
  return (
    <Space above={1}>
      <Text strong aria-live="polite">
        So much came off: {FORMAT.number(tenths / 10)} mm
      </Text>
      <Grid columns="1fr 1fr" above={1}>
        <AnswerButton onClick={() => setTenths(Math.max(1, tenths - 1))}>Less came off</AnswerButton>
        <AnswerButton onClick={() => setTenths(Math.min(LARGEST_SLIP, tenths + 1))}>More came off</AnswerButton>
      </Grid>
      <Row above={1}>
        <Button
          variant="outlined"
          color="inherit"
          size="large"
          disabled={busy}
          onClick={() => onTaken({ step: step.step, tenths })}
        >
          Note it so
        </Button>
      </Row>
    </Space>
  );
}

/** One small step: where and which way, how much, what to expect, and what never. */
export function StepMove({ step, how, shape, busy, onTaken }: StepMoveProps) {
  const [slipped, setSlipped] = useState(false);
  const { expect, never, warn, howMany, done } = step;
  return (
    <Grid columns={{ xs: '1fr', sm: '1fr 1.4fr' }} gap={2} above={1}>
      <StepFigure step={step.step} shape={shape} wired={step.wired} />
      <Space>
        <Text measured>{how}</Text>
        <Text strong above={1}>
          {expect}
        </Text>
        {howMany && <Typography color="text.secondary">{howMany}</Typography>}
        {warn && (
          <Caution danger above={1}>
            {warn}
          </Caution>
        )}
        <Caution above={1}>{never}</Caution>
        <Row wrap above={2}>
          <BrassButton size="large" disabled={busy} onClick={() => onTaken({ step: step.step, tenths: step.tenths })}>
            {done}
          </BrassButton>
          {step.step === 'clip' && (
            <Button color="inherit" size="large" aria-expanded={slipped} onClick={() => setSlipped(!slipped)}>
              It became more
            </Button>
          )}
        </Row>
        {slipped && <Slipped step={step} busy={busy} onTaken={onTaken} />}
      </Space>
    </Grid>
  );
}
