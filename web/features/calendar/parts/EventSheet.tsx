import { isOneOf } from '#core/kernel/typed.ts';
import {
  Button,
  Checkbox,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  MenuItem,
  Stack,
  TextField,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { EVENT_KINDS, isPlayed, type EventKind } from '#core/calendar/event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { plainName } from '#core/kernel/visible-text.ts';
import type { EventView } from '#contract/calendar.ts';
import type { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { EVENT_NAMES } from '#web/features/calendar/parts/event-names.ts';
import { PlayMinutes } from '#web/ui/PlayMinutes.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';

type EventSheetProps = {
  readonly playerId: PlayerId;
  readonly instruments: readonly { readonly instrumentId: InstrumentId; readonly name: string }[];
  /** The event that is put right; none where one is added. */
  readonly old?: EventView;
  /** What it may be; anything where nothing is said. */
  readonly kinds?: readonly EventKind[];
  readonly event: ReturnType<typeof useEvent>;
  readonly onClose: () => void;
};

const USUAL_MINUTES = 80;

type Entry = {
  readonly what: EventKind;
  readonly on: LocalDate | null;
  readonly until: LocalDate | null;
  readonly name: string;
  readonly minutes: number;
  readonly chosen: readonly InstrumentId[];
};

/** What is there already, or what is usual. */
function entryOf({ old, kinds = EVENT_KINDS, instruments }: EventSheetProps): Entry {
  const usual: Entry = {
    what: kinds[0] ?? 'concert',
    on: null,
    until: null,
    name: '',
    minutes: USUAL_MINUTES,
    chosen: instruments.map(({ instrumentId }) => instrumentId),
  };
  if (!old) return usual;
  const { what, on, until, name, minutes, instrumentIds } = old;
  return { what, on, until, name: name ?? '', minutes: minutes ?? USUAL_MINUTES, chosen: instrumentIds };
}

/** What is sent; null while its day is missing. */
function contentOf({ what, on, until, name, minutes, chosen }: Entry, { playerId, old }: EventSheetProps) {
  if (on === null) return null;
  const days = isPlayed(what) ? { until: null, minutes } : { until, minutes: null };
  const stay = what === 'bench' ? (old?.stay ?? null) : null;
  const insteadOf = old?.asImported === true ? { insteadOf: old.key } : {};
  return { playerId, what, on, ...days, name: plainName(name) || null, instrumentIds: [...chosen], stay, ...insteadOf };
}

/** What was imported is not corrected: another stands in its place. */
const correctedBy = (old: EventView | undefined) => (old?.asImported === false ? old.key : undefined);

type FieldsProps = Pick<EventSheetProps, 'instruments' | 'kinds'> & {
  readonly entry: Entry;
  readonly onChange: (part: Partial<Entry>) => void;
};

function Fields({ instruments, kinds = EVENT_KINDS, entry, onChange }: FieldsProps) {
  const { what, on, until, name, minutes, chosen } = entry;
  const toggle = (id: InstrumentId) =>
    onChange({ chosen: chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id] });
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
      <DateField label={isPlayed(what) ? 'Day' : 'First day'} value={on} onChange={(day) => onChange({ on: day })} />
      {isPlayed(what) ? (
        <PlayMinutes minutes={minutes} setMinutes={(next) => onChange({ minutes: next })} />
      ) : (
        <DateField
          label="Last day, if it is longer than one"
          value={until}
          onChange={(day) => onChange({ until: day })}
        />
      )}
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
        <Typography variant="body2" color="text.secondary">
          Each of the {chosen.length} is played that long.
        </Typography>
      )}
    </>
  );
}

/** An event: what it is, its day or days, how long is played, and on what. */
export function EventSheet(props: EventSheetProps) {
  const { instruments, old, kinds = EVENT_KINDS, event, onClose } = props;
  const [entry, setEntry] = useState(() => entryOf(props));
  const words = EVENT_NAMES[entry.what].toLowerCase();
  const content = contentOf(entry, props);
  const notice = old ? `The ${words} is put right.` : `The ${words} is in the record.`;
  const remove = () => {
    if (!old) return;
    if (old.calendar === null) event.remove(old, onClose);
    else if (content)
      event.log(
        { ...content, dropped: true },
        { said: `The ${words} is left out.`, corrects: correctedBy(old), onLogged: onClose },
      );
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="event-title">
      <DialogTitle id="event-title" variant="h1">
        {old ? `Change the ${words}` : 'Add to the calendar'}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2} sx={{ pt: 1 }}>
          <Fields
            instruments={instruments}
            kinds={kinds}
            entry={entry}
            onChange={(part) => setEntry((before) => ({ ...before, ...part }))}
          />
          {old && (
            <Button variant="outlined" color="inherit" disabled={event.busy} onClick={remove}>
              {old.calendar === null ? `Delete the ${words}` : 'Leave it out of my calendar'}
            </Button>
          )}
          <SheetEnd
            problem={event.problem}
            disabled={event.busy || content === null || entry.chosen.length === 0}
            onKeep={() =>
              content && event.log(content, { said: notice, corrects: correctedBy(old), onLogged: onClose })
            }
            onClose={onClose}
          >
            {old ? 'Keep it so' : `Add the ${words}`}
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
