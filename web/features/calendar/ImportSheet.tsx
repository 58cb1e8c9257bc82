import { Alert, Button, DialogContent, DialogTitle, LinearProgress, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { counted } from '#core/explain/format.ts';
import { LARGEST_ICS } from '#core/ics/ics-limits.ts';
import { calendarText } from '#web/features/calendar/calendar-text.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { CalendarPreview } from '#contract/calendar-in.ts';
import type { useCalendarImport } from '#web/features/calendar/calendar.actions.ts';
import { useCalendarPreview } from '#web/features/calendar/calendar.actions.ts';
import { ImportSeries, type Choice } from '#web/features/calendar/parts/ImportSeries.tsx';
import { ImportVanished } from '#web/features/calendar/parts/ImportVanished.tsx';
import { FileButton } from '#web/ui/FileButton.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type ImportSheetProps = {
  readonly playerId: PlayerId;
  readonly taking: ReturnType<typeof useCalendarImport>;
  readonly onClose: () => void;
};

type File = { readonly fileName: string; readonly text: string };
const MEGABYTE = 1_000_000;
const zone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

type PickProps = {
  readonly busy: boolean;
  readonly problem: string | null;
  readonly onPick: (file: File) => void;
};

/** A file is chosen; one that is too large is refused before it is sent. */
function Pick({ busy, problem, onPick }: PickProps) {
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const read = async (chosen: globalThis.File): Promise<void> => {
    const isTooLarge = chosen.size > LARGEST_ICS;
    setTooLarge(
      isTooLarge
        ? `A calendar file is at most ${LARGEST_ICS / MEGABYTE} MB, and this one has ${Math.ceil(chosen.size / MEGABYTE)}. Export fewer years, and import that.`
        : null,
    );
    if (isTooLarge) return;
    onPick({ fileName: chosen.name.slice(0, 120) || 'calendar.ics', text: calendarText(await chosen.arrayBuffer()) });
  };
  const wrong = tooLarge ?? problem;
  return (
    <>
      <Typography>
        Export the calendar of your band, orchestra or school as a file that ends in .ics, and choose it here. You see
        what is in it before anything is taken in.
      </Typography>
      <FileButton accept=".ics,text/calendar" disabled={busy} onPick={(chosen) => void read(chosen)}>
        Choose a file
      </FileButton>
      {busy && <LinearProgress aria-label="Reading the calendar" />}
      {wrong && <Alert severity="error">{wrong}</Alert>}
    </>
  );
}

/** What was not understood of the file. */
const Notes = ({ notes }: Pick<CalendarPreview, 'notes'>) =>
  notes.length === 0 ? null : (
    <Alert severity="warning">
      {notes.map((note, at) => (
        <Space key={at}>{note}</Space>
      ))}
    </Alert>
  );

type ReviewProps = Omit<ImportSheetProps, 'onClose'> & {
  readonly file: File;
  readonly preview: CalendarPreview;
  readonly onClose: () => void;
};

/** What the file holds, to be ticked, and what has vanished from it. */
function Review({ playerId, taking, file, preview, onClose }: ReviewProps) {
  const { calendar, calledNow, empty, series, hidden, vanished, notes, instruments, isKnown } = preview;
  const [choices, setChoices] = useState<readonly Choice[]>(() =>
    series.map(({ uid, what, instrumentIds, taken }) => ({ uid, what, instrumentIds, taken })),
  );
  const [dropped, setDropped] = useState<readonly string[]>(() =>
    vanished.flatMap(({ key, isCancelled }) => (isCancelled ? [key] : [])),
  );
  const taken = choices.filter((one) => one.taken && one.instrumentIds.length > 0);
  const count = series
    .filter(({ uid }) => taken.some((one) => one.uid === uid))
    .reduce((sum, one) => sum + one.count, 0);
  const change = (...changed: readonly Choice[]) =>
    setChoices((before) => before.map((one) => changed.find(({ uid }) => uid === one.uid) ?? one));
  const keep = () =>
    taking.log(
      {
        playerId,
        zone: zone(),
        ...file,
        choices: taken.map(({ uid, what, instrumentIds }) => ({ uid, what, instrumentIds: [...instrumentIds] })),
        dropped: [...dropped],
      },
      { said: `${counted(count, 'date')} of ${calendar} are in your calendar.`, onLogged: onClose },
    );
  return (
    <>
      <Text strong>{calendar}</Text>
      {isKnown && (
        <Typography>
          {calledNow !== calendar && `It is called “${calledNow}” now, and holds what you took from “${calendar}”. `}
          It was imported before. What has changed is changed, and nothing is doubled.
        </Typography>
      )}
      <Notes notes={notes} />
      {empty !== null ? (
        <Typography>{empty}</Typography>
      ) : (
        <ImportSeries series={series} choices={choices} instruments={instruments} onChange={change} />
      )}
      {hidden > 0 && (
        <Typography>
          {hidden === 1 ? '1 more entry is' : `${hidden} more entries are`} not shown: there are too many. Export fewer
          years to see them.
        </Typography>
      )}
      <ImportVanished vanished={vanished} dropped={dropped} onChange={setDropped} />
      <SheetEnd
        problem={taking.problem}
        disabled={taking.busy || (taken.length === 0 && !isKnown)}
        onKeep={keep}
        onClose={onClose}
      >
        Take in {counted(count, 'date')}
      </SheetEnd>
    </>
  );
}

/** A calendar from elsewhere: chosen, looked at, then taken in. */
export function ImportSheet({ playerId, taking, onClose }: ImportSheetProps) {
  const [file, setFile] = useState<File | null>(null);
  const preview = useCalendarPreview();
  const pick = (chosen: File) => {
    setFile(chosen);
    preview.mutate({ playerId, zone: zone(), ...chosen });
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="md" aria-labelledby="import-title">
      <DialogTitle id="import-title" variant="h1">
        Import a calendar
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          {file && preview.data ? (
            <Review playerId={playerId} taking={taking} file={file} preview={preview.data} onClose={onClose} />
          ) : (
            <>
              <Pick busy={preview.isPending} problem={preview.error?.message ?? null} onPick={pick} />
              <Button color="inherit" onClick={onClose}>
                Not now
              </Button>
            </>
          )}
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
