import { yupResolver } from '@hookform/resolvers/yup';
import {
  Alert,
  Box,
  Checkbox,
  FormControlLabel,
  FormGroup,
  Radio,
  RadioGroup,
  Stack,
  TextField,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { object, string } from 'yup';
import type { Player } from '#core/players/profile.ts';
import { SKILLS, STANDINGS, type Skill, type Standing } from '#core/players/player.ts';
import { plainName } from '#core/kernel/visible-text.ts';
import { word } from '#contract/scalars.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';

export type PlayerEntry = Omit<Player, 'id'>;
type PlayerFormProps = {
  readonly busy: boolean;
  readonly problem: string | null;
  readonly onSave: (entry: PlayerEntry) => void;
  /** What the record says so far, for somebody who is in it. */
  readonly known?: PlayerEntry;
};

const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  'grown-up': 'Grown-up',
  pupil: 'Pupil with a teacher',
  child: 'Child with a grown-up',
};
const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  'key-oil': 'oil keys',
  'bore-oil': 'oil a wooden bore',
  screws: 'turn a rod or pivot screw',
  solvents: 'use solvents',
  blades: 'use blades on reeds',
};

const fields = object({
  // A keyboard leaves a blank behind what it has completed: that is no fault.
  name: string()
    .transform(plainName)
    .required('A name is needed, a first name will do.')
    .max(60, 'At most 60 characters.'),
  standing: word(STANDINGS).required(),
}).required();

/** Who plays, and what they do themselves: steps they do not do go to a grown-up, the teacher or the bench. */
export function PlayerForm({ busy, problem, onSave, known }: PlayerFormProps) {
  const standing: Standing = known?.standing ?? 'grown-up';
  const { control, register, handleSubmit, formState, watch } = useForm({
    resolver: yupResolver(fields),
    defaultValues: { name: known?.name ?? '', standing },
  });
  const [does, setDoes] = useState<readonly Skill[]>(known?.does ?? []);
  const grownUp = watch('standing') === 'grown-up';
  const add = handleSubmit(({ name, standing }) =>
    onSave({ name: plainName(name), standing, does: standing === 'grown-up' ? [...does] : [] }),
  );
  const { name: nameError } = formState.errors;
  return (
    <Box component="form" noValidate onSubmit={(event) => void add(event)}>
      <Stack spacing={2}>
        <TextField
          label={known ? 'Name' : 'Your name'}
          autoComplete="given-name"
          {...register('name')}
          error={!!nameError}
          helperText={nameError?.message ?? ' '}
        />
        <Controller
          control={control}
          name="standing"
          render={({ field }) => (
            <RadioGroup row aria-label="You are" {...field}>
              {STANDINGS.map((standing) => (
                <FormControlLabel
                  key={standing}
                  value={standing}
                  control={<Radio />}
                  label={STANDING_WORDS[standing]}
                />
              ))}
            </RadioGroup>
          )}
        />
        {grownUp && (
          <Box>
            <Typography sx={{ fontWeight: 650 }}>I do these myself (the rest goes to the bench):</Typography>
            <FormGroup row>
              {SKILLS.map((skill) => (
                <FormControlLabel
                  key={skill}
                  label={SKILL_WORDS[skill]}
                  control={
                    <Checkbox
                      checked={does.includes(skill)}
                      onChange={(_event, checked) =>
                        setDoes(checked ? [...does, skill] : does.filter((one) => one !== skill))
                      }
                    />
                  }
                />
              ))}
            </FormGroup>
          </Box>
        )}
        {problem && <Alert severity="error">{problem} What you filled in is still here.</Alert>}
        <Box>
          <BrassButton type="submit" disabled={busy}>
            {known ? 'Save' : 'Add'}
          </BrassButton>
        </Box>
      </Stack>
    </Box>
  );
}
