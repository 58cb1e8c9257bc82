import { Button, Typography } from '@mui/material';
import { Row } from '#web/ui/layout.tsx';

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
    <Typography sx={{ flex: 1 }}>{label}</Typography>
    <Button variant="outlined" color="inherit" aria-label={`Less: ${label}`} onClick={onLess} sx={{ minWidth: 52 }}>
      −
    </Button>
    <Typography component="output" aria-live="polite" sx={{ minWidth: 72, textAlign: 'center' }}>
      {words}
    </Typography>
    <Button variant="outlined" color="inherit" aria-label={`More: ${label}`} onClick={onMore} sx={{ minWidth: 52 }}>
      +
    </Button>
  </Row>
);
