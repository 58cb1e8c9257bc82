import { Box, Checkbox, FormControlLabel, MenuItem, TextField, Typography } from '@mui/material';
import { EVENT_KINDS, isPlayed, MOST_REPEAT_WEEKS, type EventKind } from '#core/calendar/event.ts';
import { datesOf, everyWords } from '#core/calendar/repeated-event.ts';
import { counted, duration } from '#core/explain/format.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { isOneOf } from '#core/kernel/typed.ts';
import { LEAST_PLAY_MINUTES, MOST_PLAY_MINUTES } from '#core/plays/play.ts';
import { FORMAT } from '#web/clock/format.ts';
import { EVENT_NAMES } from '#web/features/calendar/parts/event-names.ts';
import type { EventEntry } from '#web/features/calendar/parts/event-entry.ts';
import { DateField } from '#web/ui/DateField.tsx';
import { NumberStepper } from '#web/ui/NumberStepper.tsx';
import { PlayMinutes } from '#web/ui/PlayMinutes.tsx';
import { TimeField } from '#web/ui/TimeField.tsx';

type EventFieldsProps = {
  readonly instruments: readonly { readonly instrumentId: InstrumentId; readonly name: string }[];
  readonly kinds?: readonly EventKind[];
  readonly entry: EventEntry;
  /** May it be said that it comes again? Not of one of a series. */
  readonly mayRepeat: boolean;
  readonly onChange: (part: Partial<EventEntry>) => void;
};

const REPEATS = Array.from({ length: MOST_REPEAT_WEEKS }, (_, at) => at + 1);
const STEP = 5;

/** "Every 2 weeks on a Tuesday, 9 times." */
function seriesWords({ on, weeks, lastOn }: EventEntry): string {
  if (on === null || lastOn === null) return 'Say the first day, and until when.';
  const times = datesOf({ on, repeats: { weeks, until: lastOn } }).length;
  return times === 0
    ? 'It ends before it begins.'
    : `It comes ${everyWords(weeks)}, first on ${FORMAT.weekdayDate(on)}: ${counted(times, 'time')}.`;
}

/** Once, or again and again on its weekday until a day. */
const Repeats = ({ entry, onChange }: Pick<EventFieldsProps, 'entry' | 'onChange'>) => (
  <>
    <TextField
      select
      label="How often"
      value={entry.weeks}
      onChange={({ target }) => onChange({ weeks: Number(target.value) })}
    >
      <MenuItem value={0}>once</MenuItem>
      {REPEATS.map((weeks) => (
        <MenuItem key={weeks} value={weeks}>
          {everyWords(weeks)}
        </MenuItem>
      ))}
    </TextField>
    {entry.weeks > 0 && (
      <>
        <DateField label="Until" value={entry.lastOn} onChange={(lastOn) => onChange({ lastOn })} />
        <Typography role="status">{seriesWords(entry)}</Typography>
      </>
    )}
  </>
);

/** How long each of several instruments is played: all the same, or each its own. */
function MinutesOfEach({ instruments, entry, onChange }: Pick<EventFieldsProps, 'instruments' | 'entry' | 'onChange'>) {
  const { chosen, minutes, minutesOf } = entry;
  const of = (id: InstrumentId): number =>
    minutesOf.find(({ instrumentId }) => instrumentId === id)?.minutes ?? minutes;
  const isApart = minutesOf.length > 0;
  const set = (id: InstrumentId, next: number) =>
    onChange({
      minutesOf: chosen.map((one) => ({
        instrumentId: one,
        minutes: one === id ? Math.min(MOST_PLAY_MINUTES, Math.max(LEAST_PLAY_MINUTES, next)) : of(one),
      })),
    });
  const apart = (is: boolean) =>
    onChange({ minutesOf: is ? chosen.map((instrumentId) => ({ instrumentId, minutes })) : [] });
  return (
    <Box>
      <FormControlLabel
        control={<Checkbox checked={!isApart} onChange={({ target }) => apart(!target.checked)} />}
        label={`Each of the ${chosen.length} is played that long`}
      />
      {isApart &&
        instruments
          .filter(({ instrumentId }) => chosen.includes(instrumentId))
          .map(({ instrumentId, name }) => (
            <NumberStepper
              key={instrumentId}
              label={name}
              words={duration(of(instrumentId))}
              onLess={() => set(instrumentId, of(instrumentId) - STEP)}
              onMore={() => set(instrumentId, of(instrumentId) + STEP)}
            />
          ))}
    </Box>
  );
}

/** When it is, how long, and how often; or from which day to which. */
function When({ entry, mayRepeat, onChange }: Pick<EventFieldsProps, 'entry' | 'mayRepeat' | 'onChange'>) {
  const { what, on, until, atMinute, minutes } = entry;
  if (!isPlayed(what))
    return (
      <>
        <DateField label="First day" value={on} onChange={(day) => onChange({ on: day })} />
        <DateField
          label="Last day, if it is longer than one"
          value={until}
          onChange={(day) => onChange({ until: day })}
        />
      </>
    );
  return (
    <>
      <DateField label={entry.weeks > 0 ? 'First day' : 'Day'} value={on} onChange={(day) => onChange({ on: day })} />
      <TimeField label="Begins at, if you know" value={atMinute} onChange={(at) => onChange({ atMinute: at })} />
      {mayRepeat && <Repeats entry={entry} onChange={onChange} />}
      <PlayMinutes minutes={minutes} setMinutes={(next) => onChange({ minutes: next, minutesOf: [] })} />
    </>
  );
}

/** An event: what it is, when, how long is played, and on what. */
export function EventFields({ instruments, kinds = EVENT_KINDS, entry, mayRepeat, onChange }: EventFieldsProps) {
  const { what, name, chosen } = entry;
  const toggle = (id: InstrumentId) =>
    onChange({
      chosen: chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id],
      minutesOf: [],
    });
  return (
    <>
      {kinds.length > 1 && (
        <TextField
          select
          label="What it is"
          value={what}
          onChange={({ target: { value } }) => isOneOf(EVENT_KINDS, value) && onChange({ what: value })}
        >
          {kinds.map((kind) => (
            <MenuItem key={kind} value={kind}>
              {EVENT_NAMES[kind]}
            </MenuItem>
          ))}
        </TextField>
      )}
      <When entry={entry} mayRepeat={mayRepeat} onChange={onChange} />
      <TextField
        label="What it is called"
        value={name}
        onChange={({ target }) => onChange({ name: target.value })}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      {instruments.length > 1 &&
        instruments.map(({ instrumentId, name: called }) => (
          <FormControlLabel
            key={instrumentId}
            control={<Checkbox checked={chosen.includes(instrumentId)} onChange={() => toggle(instrumentId)} />}
            label={called}
          />
        ))}
      {isPlayed(what) && chosen.length > 1 && (
        <MinutesOfEach instruments={instruments} entry={entry} onChange={onChange} />
      )}
    </>
  );
}
