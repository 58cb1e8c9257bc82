import { Alert, Box, Checkbox, FormControlLabel, FormGroup, Radio, RadioGroup, Stack, TextField } from '@mui/material';
import type { FormEvent } from 'react';
import { object, string } from 'yup';
import type { Player } from '#core/players/profile.ts';
import { SKILLS, STANDINGS, type Skill, type Standing } from '#core/players/player.ts';
import { plainName } from '#core/kernel/visible-text.ts';
import { word } from '#contract/scalars.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { useChecked } from '#web/ui/use-checked.ts';
import { Text } from '#web/ui/Text.tsx';

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
  const initial: PlayerEntry = known ?? { name: '', standing: 'grown-up', does: [] };
  const { entry, change, problems, check } = useChecked(fields, initial);
  const { name, standing, does } = entry;
  const grownUp = standing === 'grown-up';
  const save = (event: FormEvent) => {
    event.preventDefault();
    if (check()) onSave({ name: plainName(name), standing, does: grownUp ? [...does] : [] });
  };
  return (
    <Box component="form" noValidate onSubmit={save}>
      <Stack spacing={2}>
        <TextField
          label={known ? 'Name' : 'Your name'}
          autoComplete="given-name"
          name="name"
          value={name}
          onChange={({ target }) => change({ name: target.value })}
          error={problems.name !== undefined}
          helperText={problems.name ?? ' '}
        />
        <RadioGroup
          row
          aria-label="You are"
          value={standing}
          onChange={(_event, chosen) => change({ standing: STANDINGS.find((one) => one === chosen) ?? standing })}
        >
          {STANDINGS.map((one) => (
            <FormControlLabel key={one} value={one} control={<Radio />} label={STANDING_WORDS[one]} />
          ))}
        </RadioGroup>
        {grownUp && (
          <Box>
            <Text strong>I do these myself (the rest goes to the bench):</Text>
            <FormGroup row>
              {SKILLS.map((skill) => (
                <FormControlLabel
                  key={skill}
                  label={SKILL_WORDS[skill]}
                  control={
                    <Checkbox
                      checked={does.includes(skill)}
                      onChange={(_event, checked) =>
                        change({ does: checked ? [...does, skill] : does.filter((one) => one !== skill) })
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
