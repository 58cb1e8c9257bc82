import { Typography } from '@mui/material';
import { Grow, Row } from '#web/ui/layout.tsx';
import { Figure } from '#web/ui/Figure.tsx';
import { StepButton } from '#web/ui/StepButton.tsx';

type NumberStepperProps = {
  readonly label: string;
  /** What is chosen, as it reads: "45 min". */
  readonly words: string;
  readonly onLess: () => void;
  readonly onMore: () => void;
};

/** A number that is stepped through with a thumb; nothing to type. */
export const NumberStepper = ({ label, words, onLess, onMore }: NumberStepperProps) => (
  <Row align="center">
    <Grow basis={1}>
      <Typography>{label}</Typography>
    </Grow>
    <StepButton aria-label={`Less: ${label}`} onClick={onLess}>
      −
    </StepButton>
    <Figure aria-live="polite" width={72}>
      {words}
    </Figure>
    <StepButton aria-label={`More: ${label}`} onClick={onMore}>
      +
    </StepButton>
  </Row>
);
