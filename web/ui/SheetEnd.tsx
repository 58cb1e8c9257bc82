import { Alert, Button } from '@mui/material';
import { BrassButton } from '#web/ui/BrassButton.tsx';

type SheetEndProps = {
  /** What was wrong with what was sent; null where nothing was. */
  readonly problem: string | null | undefined;
  readonly disabled: boolean;
  readonly onKeep: () => void;
  readonly onClose: () => void;
  /** What the one button says. */
  readonly children: React.ReactNode;
};

/** How a sheet ends: what is wrong, the one thing to do, and the way out. */
export const SheetEnd = ({ problem, disabled, onKeep, onClose, children }: SheetEndProps) => (
  <>
    {problem && <Alert severity="error">{problem}</Alert>}
    <BrassButton disabled={disabled} onClick={onKeep}>
      {children}
    </BrassButton>
    <Button color="inherit" onClick={onClose}>
      Not now
    </Button>
  </>
);
