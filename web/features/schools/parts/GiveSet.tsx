import { Alert, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { LONGEST_NAME } from '#core/schools/school-set-format.ts';
import { useToday } from '#web/clock/today.ts';
import { useGiveSet } from '#web/features/schools/schools.queries.ts';
import { saveSetFile } from '#web/features/schools/set-file.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';

type GiveSetProps = { readonly instrumentId: string; readonly chosen: number; readonly onClose: () => void };

/** A teacher's choices as a file for pupils. */
export function GiveSet({ instrumentId, chosen, onClose }: GiveSetProps) {
  const [name, setName] = useState('');
  const today = useToday();
  const give = useGiveSet();
  const save = () =>
    give.mutate(
      { instrumentId, name: name.trim(), today },
      {
        onSuccess: (set) => {
          saveSetFile(set, name.trim());
          onClose();
        },
      },
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="give-title">
      <DialogTitle id="give-title" variant="h2">
        Give your way to others
      </DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>
          {chosen === 0
            ? 'Nothing is your own choice yet: choose something first, defaults follow by themselves.'
            : `The file holds what you have chosen (${chosen}). What follows a default is left to be worked out for whoever takes it.`}
        </Typography>
        <TextField
          fullWidth
          autoFocus
          label="Whose way is it?"
          value={name}
          onChange={({ target }) => setName(target.value)}
          slotProps={{ htmlInput: { maxLength: LONGEST_NAME } }}
        />
        {give.error && (
          <Alert severity="error" sx={{ mt: 2 }}>
            {give.error.message}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
        <BrassButton disabled={give.isPending || chosen === 0 || name.trim() === ''} onClick={save}>
          Save the file
        </BrassButton>
      </DialogActions>
    </Dialog>
  );
}
