import { Button, MenuItem, TextField } from '@mui/material';
import { useState } from 'react';
import type { KindView } from '#contract/instruments.ts';
import { Grid } from '#web/ui/layout.tsx';

type BuildFormProps = {
  readonly kind: KindView;
  readonly build: Readonly<Record<string, string>>;
  readonly busy: boolean;
  readonly onSave: (build: Record<string, string>) => void;
};

/** How an instrument is built, each question with its answer of today. */
export function BuildForm({ kind, build, busy, onSave }: BuildFormProps) {
  const [answers, setAnswers] = useState<Record<string, string>>({ ...build });
  return (
    <Grid gap={2} above={1.5} below={1.5}>
      {kind.fields.map(({ field, question, options, usual }) => (
        <TextField
          key={field}
          select
          label={question}
          value={answers[field] ?? usual}
          onChange={({ target }) => setAnswers({ ...answers, [field]: target.value })}
        >
          {options.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      ))}
      <Button variant="outlined" color="inherit" disabled={busy} onClick={() => onSave(answers)}>
        Save
      </Button>
    </Grid>
  );
}
