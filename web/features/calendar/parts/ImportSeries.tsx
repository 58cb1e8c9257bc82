import { isOneOf } from '#core/kernel/typed.ts';
import { Box, Checkbox, FormControlLabel, MenuItem, TextField, Typography } from '@mui/material';
import { EVENT_KINDS, isPlayed, type EventKind } from '#core/calendar/event.ts';
import { counted, duration } from '#core/explain/format.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { CalendarPreview } from '#contract/calendar-in.ts';
import { FORMAT } from '#web/clock/format.ts';
import { EVENT_NAMES } from '#web/features/calendar/parts/event-names.ts';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';

type Series = CalendarPreview['series'][number];
/** Whether a series is taken, as what, and on which instruments. */
export type Choice = {
  readonly uid: string;
  readonly what: EventKind;
  readonly instrumentIds: readonly InstrumentId[];
  readonly taken: boolean;
};

const STATE_WORDS: Readonly<Record<Series['state'], string>> = { new: 'new', changed: 'changed', same: 'as before' };
/** "12 dates from Mon, Nov 30, 2 h each, new". */
function seriesWords({ count, first, last, minutes, state }: Series): string {
  const from = FORMAT.weekdayDate(first);
  const days =
    count === 1
      ? last === first
        ? from
        : `${from} to ${FORMAT.weekdayDate(last)}`
      : `${counted(count, 'date')} from ${from}`;
  return `${days}${minutes === null || minutes === 0 ? '' : `, ${duration(minutes)}`}, ${STATE_WORDS[state]}`;
}

type ImportSeriesProps = {
  readonly series: CalendarPreview['series'];
  readonly choices: readonly Choice[];
  readonly instruments: CalendarPreview['instruments'];
  readonly onChange: (...changed: readonly Choice[]) => void;
};

type RowProps = {
  readonly one: Series;
  readonly choice: Choice;
  readonly instruments: ImportSeriesProps['instruments'];
  readonly onChange: (choice: Choice) => void;
};

function Row({ one, choice, instruments, onChange }: RowProps) {
  const name = one.name || 'Without a name';
  return (
    <PlainRow>
      <FormControlLabel
        control={
          <Checkbox checked={choice.taken} onChange={({ target }) => onChange({ ...choice, taken: target.checked })} />
        }
        label={
          <Box sx={{ py: 0.5, overflowWrap: 'anywhere' }}>
            {name}
            <Typography variant="body2" color="text.secondary">
              {seriesWords(one)}
            </Typography>
          </Box>
        }
      />
      {choice.taken && (
        <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', sm: '1fr 2fr' }, pl: 4, py: 1 }}>
          <TextField
            select
            size="small"
            label={`${name}: what it is`}
            value={choice.what}
            onChange={({ target: { value } }) =>
              isOneOf(EVENT_KINDS, value) && onChange(asKind(value, choice, one, instruments))
            }
          >
            {EVENT_KINDS.map((kind) => (
              <MenuItem key={kind} value={kind}>
                {EVENT_NAMES[kind]}
              </MenuItem>
            ))}
          </TextField>
          {instruments.length > 1 && (
            <TextField
              select
              size="small"
              label="On which instruments"
              value={[...choice.instrumentIds]}
              error={choice.instrumentIds.length === 0}
              helperText={
                isPlayed(choice.what) && choice.instrumentIds.length > 1 && 'Counts as played on each, all of its time.'
              }
              onChange={({ target }) => onChange({ ...choice, instrumentIds: chosenOf(target.value, instruments) })}
              slotProps={{ select: { multiple: true } }}
            >
              {instruments.map(({ instrumentId, name: called }) => (
                <MenuItem key={instrumentId} value={instrumentId}>
                  {called}
                </MenuItem>
              ))}
            </TextField>
          )}
        </Box>
      )}
    </PlainRow>
  );
}

/** The same series as another kind: what is played is on one instrument, days off are off for all. */
function asKind(
  what: EventKind,
  choice: Choice,
  { mostPlayed }: Series,
  own: ImportSeriesProps['instruments'],
): Choice {
  if (isPlayed(what) === isPlayed(choice.what)) return { ...choice, what };
  const all = own.map(({ instrumentId }) => instrumentId);
  return { ...choice, what, instrumentIds: isPlayed(what) && mostPlayed !== null ? [mostPlayed] : all };
}

/** A field of several answers gives a list, whatever its type says. */
const chosenOf = (value: unknown, instruments: ImportSeriesProps['instruments']): InstrumentId[] =>
  instruments.flatMap(({ instrumentId }) =>
    Array.isArray(value) && value.includes(instrumentId) ? [instrumentId] : [],
  );

/** Ticks all at once, or none. */
function All({ choices, onChange }: Pick<ImportSeriesProps, 'choices' | 'onChange'>) {
  const count = choices.filter(({ taken }) => taken).length;
  return (
    <FormControlLabel
      control={
        <Checkbox
          checked={count === choices.length}
          indeterminate={count > 0 && count < choices.length}
          onChange={({ target }) => onChange(...choices.map((one) => ({ ...one, taken: target.checked })))}
        />
      }
      label={`All ${choices.length}`}
    />
  );
}

/** What the file holds, series by series: ticked what is taken, with what it is and on what it is played. */
export const ImportSeries = ({ series, choices, instruments, onChange }: ImportSeriesProps) => (
  <Box>
    {series.length > 1 && <All choices={choices} onChange={onChange} />}
    <PlainList height="50vh">
      {series.map((one, at) => {
        const choice = choices[at];
        return choice ? (
          <Row key={one.uid} one={one} choice={choice} instruments={instruments} onChange={onChange} />
        ) : null;
      })}
    </PlainList>
  </Box>
);
