import { Button } from '@mui/material';
import { useRef } from 'react';

type FileButtonProps = {
  /** What the button says. */
  readonly children: string;
  /** What may be chosen, as `accept` of a file field. */
  readonly accept: string;
  readonly disabled?: boolean;
  readonly onPick: (file: File) => void;
};

/** A file is chosen; the same one may be chosen again. */
export function FileButton({ children, accept, disabled = false, onPick }: FileButtonProps) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button
        variant="outlined"
        color="inherit"
        disabled={disabled}
        onClick={() => picker.current?.click()}
        size="large"
      >
        {children}
      </Button>
      <input
        ref={picker}
        type="file"
        hidden
        accept={accept}
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) onPick(file);
          target.value = '';
        }}
      />
    </>
  );
}
