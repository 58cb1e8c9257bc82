import { Alert, Button, DialogActions, DialogContent, DialogTitle, TextField } from '@mui/material';
import { useState } from 'react';
import { LONGEST_NAME } from '#core/methods/method-set-format.ts';
import { plainName } from '#core/kernel/visible-text.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Space } from '#web/ui/layout.tsx';

type GiveSetProps = {
  /** How many choices are the player's own. */
  readonly chosen: number;
  readonly busy: boolean;
  readonly problem: string | null;
  readonly onSave: (name: string) => void;
  readonly onClose: () => void;
};

/** A teacher's choices as a file for pupils. */
export function GiveSet({ chosen, busy, problem, onSave, onClose }: GiveSetProps) {
  const [name, setName] = useState('');
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="give-title">
      <DialogTitle id="give-title" variant="h2">
        Share your methods
      </DialogTitle>
      <DialogContent>
        <Text below={2}>
          {chosen === 0
            ? 'Nothing is your own choice yet: choose something first, defaults follow by themselves.'
            : `The file holds what you have chosen (${chosen}). What follows a default is left to be worked out for whoever takes it.`}
        </Text>
        <TextField
          fullWidth
          autoFocus
          label="Whose methods are they?"
          value={name}
          onChange={({ target }) => setName(target.value)}
          slotProps={{ htmlInput: { maxLength: LONGEST_NAME } }}
        />
        {problem && (
          <Space above={2}>
            <Alert severity="error">{problem}</Alert>
          </Space>
        )}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
        <BrassButton disabled={busy || chosen === 0 || name.trim() === ''} onClick={() => onSave(plainName(name))}>
          Save the file
        </BrassButton>
      </DialogActions>
    </Sheet>
  );
}
