import { Alert, Button, DialogContent, DialogTitle, LinearProgress, Stack, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { IncomingPreview, IncomingView } from '#contract/data.ts';
import { useEverythingChanged, useIncoming } from '#web/features/data/data.actions.ts';
import { dataQueries } from '#web/features/data/data.queries.ts';
import { MatchPlayers, type Matches } from '#web/features/data/parts/MatchPlayers.tsx';
import { ProblemLines } from '#web/features/data/parts/ProblemLines.tsx';
import { TableAsRead } from '#web/features/data/parts/TableAsRead.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';

const TITLES: Readonly<Record<IncomingView['kind'], string>> = {
  copy: 'Take back a copy',
  record: 'Take in a record',
  table: 'Take in a table',
  unknown: 'Looking at the file',
};
const TAKE: Readonly<Record<IncomingView['kind'], string>> = {
  copy: 'Take it back',
  record: 'Take it in',
  table: 'Take it in',
  unknown: 'Take it in',
};
const WHOLE = 100;

/** How far it is, where somebody can say. */
const Progress = ({ view: { phase, progress } }: { readonly view: IncomingView }) => (
  <>
    <Typography>
      {phase === 'taking' ? 'It is being taken in.' : 'It is being looked at. Nothing is written yet.'}
    </Typography>
    <LinearProgress
      aria-label={phase === 'taking' ? 'Taking it in' : 'Looking at it'}
      {...(progress === null ? {} : { variant: 'determinate' as const, value: WHOLE * progress })}
    />
  </>
);

type ReadyProps = {
  readonly view: IncomingView & { readonly preview: IncomingPreview };
  readonly actions: ReturnType<typeof useIncoming>;
  readonly onEnd: () => void;
};

/** What it would do, to be said yes to. */
function Ready({ view: { kind, preview, problems }, actions: { take, readOtherwise }, onEnd }: ReadyProps) {
  const people = useQuery(playerQueries.list()).data ?? [];
  const [matches, setMatches] = useState<Matches>(
    () => new Map(preview.players.map(({ playerId, seemsToBe }) => [playerId, seemsToBe])),
  );
  const matched = [...matches].flatMap(([playerId, isHere]) => (isHere === null ? [] : [{ playerId, isHere }]));
  return (
    <>
      <Typography>{preview.holds}</Typography>
      {preview.table && (
        <TableAsRead table={preview.table} busy={readOtherwise.isPending} onRead={readOtherwise.mutate} />
      )}
      {preview.lines.map((line) => (
        <Typography key={line}>{line}</Typography>
      ))}
      <MatchPlayers players={preview.players} people={people} matches={matches} onChange={setMatches} />
      <ProblemLines
        problems={problems}
        rows={kind === 'table'}
        then="Put it right in the file, or read another column. Rows are taken in all together or not at all."
      />
      <SheetEnd
        problem={take.error?.message ?? readOtherwise.error?.message}
        disabled={!preview.isWorthIt || take.isPending}
        onKeep={() => take.mutate(matched)}
        onClose={onEnd}
      >
        {TAKE[kind]}
      </SheetEnd>
    </>
  );
}

type ToldProps = Omit<ReadyProps, 'view'> & { readonly view: IncomingView };

/** Where a file is: looked at, shown, taken in, refused. */
function Told({ view, actions, onEnd }: ToldProps) {
  const { name, phase, preview, problems, kind, outcome } = view;
  return (
    <>
      {name !== '' && <Typography color="text.secondary">{name}</Typography>}
      {(phase === 'reading' || phase === 'taking') && <Progress view={view} />}
      {phase === 'ready' && preview && <Ready view={{ ...view, preview }} actions={actions} onEnd={onEnd} />}
      {phase === 'refused' && (
        <ProblemLines problems={problems} rows={kind === 'table'} then="Your record is as it was." />
      )}
      {outcome !== null && (
        <Alert severity="success" role="status">
          {outcome}
        </Alert>
      )}
    </>
  );
}

type IncomingSheetProps = { readonly id: string; readonly onClose: () => void };

/** A file that was brought in: looked at, shown, taken in. */
export function IncomingSheet({ id, onClose }: IncomingSheetProps) {
  const { data: view, error } = useQuery(dataQueries.incoming(id));
  const actions = useIncoming(id);
  const everythingChanged = useEverythingChanged();
  const end = () => {
    actions.end.mutate();
    onClose();
  };
  const phase = view?.phase;
  useEffect(() => {
    if (phase === 'taken') void everythingChanged();
  }, [phase, everythingChanged]);
  const isBusy = view === undefined ? error === null : phase === 'reading' || phase === 'taking';
  return (
    <Sheet onClose={end} fullWidth maxWidth="md" aria-labelledby="incoming-title">
      <DialogTitle id="incoming-title" variant="h1">
        {TITLES[view?.kind ?? 'unknown']}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          {error && <Alert severity="error">{error.message}</Alert>}
          {view && <Told view={view} actions={actions} onEnd={end} />}
          {phase !== 'ready' && (
            <Button color="inherit" onClick={end}>
              {isBusy ? 'Cancel' : 'Close'}
            </Button>
          )}
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
