import { Button, Typography } from '@mui/material';
import type { RecordEntryView } from '#contract/record.ts';
import { clockTime } from '#core/plays/play-words.ts';
import { FORMAT } from '#web/clock/format.ts';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type RecordListProps = {
  readonly entries: readonly RecordEntryView[];
  readonly busy: boolean;
  /** Puts a wrong entry right, where its kind can be. */
  readonly onCorrect: (entry: RecordEntryView) => void;
  readonly onTakeBack: (entry: RecordEntryView) => void;
};

/** What stands in the record, newest first; every line can be taken back. */
export function RecordList({ entries, busy, onCorrect, onTakeBack }: RecordListProps) {
  if (entries.length === 0) return <Typography>Nothing yet. The first play you log stands here.</Typography>;
  return (
    <PlainList>
      {entries.map((entry) => (
        <PlainRow key={entry.key} columns="1fr auto auto">
          <Typography variant="body2" sx={{ gridColumn: entry.correctable ? 'auto' : '1 / span 2' }}>
            <Quiet>
              {FORMAT.weekdayDate(entry.on)}
              {entry.atMinute === null ? '' : ` ${clockTime(entry.atMinute)}`}
            </Quiet>{' '}
            {entry.words}
            {entry.corrected ? ' (corrected)' : ''}
          </Typography>
          {entry.correctable && (
            <Button
              size="small"
              color="inherit"
              disabled={busy}
              onClick={() => onCorrect(entry)}
              aria-label={`Correct: ${entry.words}, ${FORMAT.weekdayDate(entry.on)}`}
            >
              Correct
            </Button>
          )}
          <Button
            size="small"
            color="inherit"
            disabled={busy}
            onClick={() => onTakeBack(entry)}
            aria-label={`Undo: ${entry.words}, ${FORMAT.weekdayDate(entry.on)}`}
          >
            Undo
          </Button>
        </PlainRow>
      ))}
    </PlainList>
  );
}
