import { Box, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { ROLES_OF, TABLE_KINDS, type ColumnRole } from '#core/data/table-columns.ts';
import { columnWords, dateOrderWords } from '#core/data/table-words.ts';
import { DAY_ORDERS } from '#core/explain/format.ts';
import type { TableReading, TableView } from '#contract/data.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { Grid } from '#web/ui/layout.tsx';

type TableAsReadProps = {
  readonly table: TableView;
  readonly busy: boolean;
  readonly onRead: (reading: TableReading) => void;
};
const NOTHING = 'nothing';
const KIND_WORDS = { plays: 'Plays', care: 'Care' } as const;

/** One of a few, from a list that opens. */
function Pick<Value extends string>(props: {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly words: string }[];
  readonly disabled: boolean;
  readonly onChange: (value: Value) => void;
}) {
  const { label, value, options, disabled, onChange } = props;
  return (
    <TextField
      select
      fullWidth
      size="small"
      label={label}
      value={value}
      disabled={disabled}
      onChange={({ target }) => onChange(target.value as Value)}
    >
      {options.map((option) => (
        <MenuItem key={option.value} value={option.value}>
          {option.words}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** How a table is read, column by column, with what stands in it; each can be put right. */
export function TableAsRead({ table, busy, onRead }: TableAsReadProps) {
  const { encoding, delimiter, heads, instruments, people, ...reading } = table;
  const change = (over: Partial<TableReading>) => onRead({ ...reading, ...over });
  const roles = ROLES_OF[reading.what].map((role) => ({ value: role as string, words: columnWords(role) }));
  const give = (at: number, role: string) =>
    change({
      // A role is one column's.
      columns: reading.columns.map((one, index) =>
        index === at ? (role === NOTHING ? null : (role as ColumnRole)) : one === role ? null : one,
      ),
    });
  return (
    <Stack spacing={1.5}>
      <Typography variant="body2" color="text.secondary">
        Read as {encoding}, with a {delimiter} between the cells.
      </Typography>
      <ChooseOne
        label="What it tells of"
        options={TABLE_KINDS.map((value) => ({ value, words: KIND_WORDS[value] }))}
        value={reading.what}
        onChange={(what) =>
          change({
            what,
            columns: reading.columns.map((role) => (role !== null && ROLES_OF[what].includes(role) ? role : null)),
          })
        }
      />
      <Grid gap={1.5} columns={{ xs: '1fr', sm: '1fr 1fr' }}>
        {heads.map(({ header, examples }, at) => (
          <Box key={at}>
            <Pick
              label={header === '' ? `Column ${at + 1}` : header}
              value={reading.columns[at] ?? NOTHING}
              options={[{ value: NOTHING, words: 'Not wanted' }, ...roles]}
              disabled={busy}
              onChange={(role) => give(at, role)}
            />
            <Typography variant="body2" color="text.secondary" noWrap>
              {examples.filter((one) => one !== '').join(' · ') || 'empty'}
            </Typography>
          </Box>
        ))}
        <Pick
          label="A day is written"
          value={reading.order}
          options={DAY_ORDERS.map((value) => ({ value, words: dateOrderWords(value) }))}
          disabled={busy}
          onChange={(order) => change({ order })}
        />
        <Pick
          label="The first row"
          value={reading.hasHeader ? 'head' : 'row'}
          options={[
            { value: 'head', words: 'names the columns' },
            { value: 'row', words: 'is a row like the others' },
          ]}
          disabled={busy}
          onChange={(first) => change({ hasHeader: first === 'head' })}
        />
        {!reading.columns.includes('instrument') && (
          <Pick
            label="Of which instrument"
            value={(reading.instrumentId ?? '') as string}
            options={instruments.map(({ id, name }) => ({ value: id, words: name }))}
            disabled={busy}
            onChange={(id) => change({ instrumentId: id as TableReading['instrumentId'] })}
          />
        )}
        {!reading.columns.includes('player') && (
          <Pick
            label="Whose it is"
            value={reading.playerId as string}
            options={people.map(({ id, name }) => ({ value: id, words: name }))}
            disabled={busy}
            onChange={(id) => change({ playerId: id as TableReading['playerId'] })}
          />
        )}
      </Grid>
    </Stack>
  );
}
