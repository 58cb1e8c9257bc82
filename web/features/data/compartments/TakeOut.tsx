import { Button, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { dataPaths, type TableDelimiter } from '#contract/data.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Grid } from '#web/ui/layout.tsx';

const DELIMITERS: readonly { readonly value: TableDelimiter; readonly words: string }[] = [
  { value: 'comma', words: 'Comma' },
  { value: 'semicolon', words: 'Semicolon' },
  { value: 'tab', words: 'Tab' },
];

/** Where a comma parts the decimals, spreadsheets expect a semicolon between cells. */
const usualDelimiter = (): TableDelimiter => (FORMAT.number(1.5).includes(',') ? 'semicolon' : 'comma');

/** The record as open files: whole, as tables, one instrument's history. */
export function TakeOut() {
  const shelf = useQuery(instrumentQueries.shelf(useToday())).data ?? [];
  const [delimiter, setDelimiter] = useState(usualDelimiter);
  const [chosen, setChosen] = useState('');
  const instrument = shelf.find(({ id }) => id === chosen) ?? shelf[0];
  return (
    <Compartment title="Save it as a file">
      <Grid gap={1.5} start>
        <Button color="inherit" href={dataPaths.record}>
          Everything (JSON)
        </Button>
        <ChooseOne
          label="Between the cells of a table"
          options={DELIMITERS}
          value={delimiter}
          onChange={setDelimiter}
        />
        <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }}>
          <Button color="inherit" href={dataPaths.cut(dataPaths.playsTable, delimiter)}>
            Plays (CSV)
          </Button>
          <Button color="inherit" href={dataPaths.cut(dataPaths.careTable, delimiter)}>
            Care (CSV)
          </Button>
        </Stack>
        {instrument && (
          <>
            <TextField
              select
              fullWidth
              label="One instrument’s history, to hand on with it"
              value={instrument.id}
              onChange={({ target }) => setChosen(target.value)}
            >
              {shelf.map(({ id, name }) => (
                <MenuItem key={id} value={id}>
                  {name}
                </MenuItem>
              ))}
            </TextField>
            <Button color="inherit" href={dataPaths.history(instrument.id)}>
              Save the history of {instrument.name}
            </Button>
            <Typography variant="body2" color="text.secondary">
              It names who played it, and holds its plays, its care and its days at the bench. Reeds, concerts and other
              instruments stay with you.
            </Typography>
          </>
        )}
      </Grid>
    </Compartment>
  );
}
