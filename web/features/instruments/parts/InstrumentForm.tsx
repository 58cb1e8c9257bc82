import { Alert, Box, FormControlLabel, MenuItem, Radio, RadioGroup, Stack, TextField } from '@mui/material';
import type { FormEvent } from 'react';
import { object, string } from 'yup';
import type { KindView } from '#contract/instruments.ts';
import type { Player } from '#core/players/profile.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { playerId as anyPlayer, word } from '#contract/scalars.ts';
import { parseLocalDate, type LocalDate } from '#core/time/local-date.ts';
import { plainName } from '#core/kernel/visible-text.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { useChecked } from '#web/ui/use-checked.ts';
import { Grid, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

export type InstrumentEntry = {
  readonly name: string;
  readonly build: Record<string, string>;
  readonly playerId: PlayerId;
  readonly acquiredOn: LocalDate;
  readonly cameNew: boolean;
};

type InstrumentFormProps = {
  readonly kind: KindView;
  readonly people: readonly Player[];
  readonly playerId: PlayerId;
  readonly today: LocalDate;
  readonly busy: boolean;
  readonly problem: string | null;
  readonly onSave: (entry: InstrumentEntry) => void;
};

const CAME = ['new', 'used'] as const;
const DAY_NEEDED = 'A day is needed; about is good enough.';

const fields = (today: LocalDate) =>
  object({
    // A keyboard leaves a blank behind what it has completed: that is no fault.
    name: string()
      .transform(plainName)
      .required('Give it a name you would call it by.')
      .max(60, 'At most 60 characters.'),
    playerId: anyPlayer().required('Who plays it?'),
    acquiredOn: string<LocalDate>()
      .required(DAY_NEEDED)
      .test('a-day', DAY_NEEDED, (value) => !value || parseLocalDate(value) !== undefined)
      .test('not-later', 'It cannot have come later than today.', (value) => !value || value <= today),
    came: word(CAME).required(),
    build: object().required(),
  }).required();

const USUALLY: (typeof CAME)[number] = 'used';

/** The build questions of a kind, each with its usual answer chosen; only the day has to be thought about. */
export function InstrumentForm({ kind, people, playerId, today, busy, problem, onSave }: InstrumentFormProps) {
  const { entry, change, problems, check } = useChecked(fields(today), {
    name: kind.name,
    playerId,
    acquiredOn: today,
    came: USUALLY,
    build: Object.fromEntries(kind.fields.map(({ field, usual }) => [field, usual])),
  });
  const { name, playerId: owner, acquiredOn, came, build } = entry;
  const save = (event: FormEvent) => {
    event.preventDefault();
    if (check()) onSave({ name: plainName(name), playerId: owner, acquiredOn, cameNew: came === 'new', build });
  };
  return (
    <Box component="form" noValidate onSubmit={save}>
      <Stack spacing={2.5}>
        <Grid gap={2} columns={{ xs: '1fr', sm: '1fr 1fr' }}>
          <TextField
            label="What do you call it?"
            name="name"
            value={name}
            onChange={({ target }) => change({ name: target.value })}
            error={problems.name !== undefined}
            helperText={problems.name ?? ' '}
          />
          <TextField
            select
            label="Who plays it?"
            value={owner}
            onChange={({ target }) => change({ playerId: people.find(({ id }) => id === target.value)?.id ?? owner })}
            error={problems.playerId !== undefined}
            helperText={problems.playerId ?? ' '}
          >
            {people.map(({ id, name: called }) => (
              <MenuItem key={id} value={id}>
                {called}
              </MenuItem>
            ))}
          </TextField>
          {kind.fields.map(({ field, question, options }) => (
            <TextField
              key={field}
              select
              label={question}
              value={build[field] ?? ''}
              onChange={({ target }) => change({ build: { ...build, [field]: target.value } })}
            >
              {options.map(({ id, name: words }) => (
                <MenuItem key={id} value={id}>
                  {words}
                </MenuItem>
              ))}
            </TextField>
          ))}
        </Grid>
        <Box>
          <Text id="came-label" strong>
            How did it come to its player?
          </Text>
          <RadioGroup
            row
            aria-labelledby="came-label"
            value={came}
            onChange={(_event, chosen) => change({ came: CAME.find((one) => one === chosen) ?? came })}
          >
            <FormControlLabel value="new" control={<Radio />} label="New: its clocks start that day" />
            <FormControlLabel value="used" control={<Radio />} label="Used: what was done before is not known" />
          </RadioGroup>
          <Space above={1.5}>
            <TextField
              type="date"
              label="On which day?"
              name="acquiredOn"
              value={acquiredOn}
              onChange={({ target }) => change({ acquiredOn: target.value as LocalDate })}
              error={problems.acquiredOn !== undefined}
              helperText={problems.acquiredOn ?? 'Plays before this day are not in the record.'}
              slotProps={{ inputLabel: { shrink: true }, htmlInput: { max: today } }}
            />
          </Space>
        </Box>
        {problem && <Alert severity="error">{problem} What you filled in is still here.</Alert>}
        <Box>
          <BrassButton type="submit" disabled={busy}>
            Put it on the shelf
          </BrassButton>
        </Box>
      </Stack>
    </Box>
  );
}
