import { Button, DialogContent, DialogTitle, FormControlLabel, Radio, RadioGroup, Stack } from '@mui/material';
import { useState } from 'react';
import { EVENT_KINDS, type EventKind } from '#core/calendar/event.ts';
import { repeatsWords } from '#core/calendar/repeated-event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { EventView } from '#contract/calendar.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { EventFields } from '#web/features/calendar/parts/EventFields.tsx';
import { contentOf, correctedBy, entryOf, isSeries, type Meant } from '#web/features/calendar/parts/event-entry.ts';
import { EVENT_NAMES } from '#web/features/calendar/parts/event-names.ts';
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

type OneOfSeriesProps = {
  readonly series: NonNullable<EventView['series']>;
  readonly meant: Meant;
  readonly onChange: (meant: Meant) => void;
};

/** Which of a series is changed: the one, or all of them. */
const OneOfSeries = ({ series, meant, onChange }: OneOfSeriesProps) => (
  <RadioGroup value={meant} onChange={(_, value) => onChange(value === 'all' ? 'all' : 'one')}>
    <FormControlLabel value="one" control={<Radio />} label="Only this one" />
    <FormControlLabel value="all" control={<Radio />} label={`All of them: ${repeatsWords(series.repeats, FORMAT)}`} />
  </RadioGroup>
);

/** What taking it away is called, and what is left of it. */
function removeWords({ calendar, series }: EventView, meant: Meant, words: string): string {
  if (calendar !== null) return 'Leave it out of my calendar';
  return series === null ? `Delete the ${words}` : meant === 'all' ? 'Delete all of them' : 'Leave this one out';
}

/** An event, or one of a series: what it is, its day or days, how long is played, and on what. */
export function EventSheet(props: EventSheetProps) {
  const { playerId, instruments, old, kinds = EVENT_KINDS, event, onClose } = props;
  const [meant, setMeant] = useState<Meant>(() => (old && isSeries(old) ? 'all' : 'one'));
  const [entry, setEntry] = useState(() => entryOf(props, meant));
  const mean = (next: Meant) => {
    setMeant(next);
    setEntry(entryOf(props, next));
  };
  const words = EVENT_NAMES[entry.what].toLowerCase();
  const content = contentOf(entry, { playerId, old, meant });
  const notice = old ? `The ${words} is put right.` : `The ${words} is in the record.`;
  const corrects = correctedBy(old, meant);
  const remove = () => {
    if (!old) return;
    const { series } = old;
    if (meant === 'all' && series !== null) event.remove({ ...old, key: series.key, on: series.on }, onClose);
    else if (old.calendar === null && series === null) event.remove(old, onClose);
    else if (content)
      event.log({ ...content, dropped: true }, { said: `The ${words} is left out.`, corrects, onLogged: onClose });
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="event-title">
      <DialogTitle id="event-title" variant="h1">
        {old ? `Change the ${words}` : 'Add to the calendar'}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          {old?.series && !isSeries(old) && <OneOfSeries series={old.series} meant={meant} onChange={mean} />}
          <EventFields
            instruments={instruments}
            kinds={kinds}
            entry={entry}
            mayRepeat={old === undefined || meant === 'all'}
            onChange={(part) => setEntry((before) => ({ ...before, ...part }))}
          />
          {old && (
            <Button variant="outlined" color="inherit" disabled={event.busy} onClick={remove}>
              {removeWords(old, meant, words)}
            </Button>
          )}
          <SheetEnd
            problem={event.problem}
            disabled={event.busy || content === null || entry.chosen.length === 0}
            onKeep={() => content && event.log(content, { said: notice, corrects, onLogged: onClose })}
            onClose={onClose}
          >
            {old ? 'Keep it so' : `Add the ${words}`}
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
