import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useRef, useState } from 'react';
import { counted } from '#core/explain/format.ts';
import type { SchoolSet } from '#core/schools/school-set-format.ts';
import type { SetReading } from '#contract/schools.ts';
import { RequestProblem } from '#web/api/http.ts';
import { newKey } from '#web/api/new-key.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { useReadSet, useTakeSet } from '#web/features/schools/schools.queries.ts';
import { readSetFile } from '#web/features/schools/set-file.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { useNotice } from '#web/ui/Notice.tsx';

type TakeSetProps = { readonly instrumentId: string; readonly onClose: () => void };
type Line = SetReading['lines'][number];

const HEADINGS = [
  { verdicts: ['new'], title: 'Would be done this way from now on' },
  { verdicts: ['same'], title: 'Is so already' },
  { verdicts: ['not-asked', 'barred', 'unknown'], title: 'Left out' },
] as const;

function Lines({ lines }: { readonly lines: readonly Line[] }) {
  return (
    <>
      {HEADINGS.map(({ verdicts, title }) => {
        const here = lines.filter(({ verdict }) => (verdicts as readonly string[]).includes(verdict));
        if (here.length === 0) return null;
        return (
          <Box key={title} sx={{ mt: 1.5 }}>
            <Typography variant="h3">{title}</Typography>
            <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
              {here.map(({ school, choice, question, words, why }) => (
                <Typography component="li" variant="body2" key={school}>
                  {question ?? school} <strong>{words ?? choice}</strong>
                  {why && ` — ${why}`}
                </Typography>
              ))}
            </Box>
          </Box>
        );
      })}
    </>
  );
}

/** What is wrong with a file that was read: what it is comes before what in it is wrong. */
function faultOf(error: Error | null): string | undefined {
  const fields = error instanceof RequestProblem ? error.fields : [];
  const first = ['set.format', 'set.version'].flatMap((name) => fields.filter(({ field }) => field === name))[0];
  return first?.message ?? error?.message;
}

/** Reads a file of choices, says what each would do here, and takes what is for this instrument. */
export function TakeSet({ instrumentId, onClose }: TakeSetProps) {
  const [set, setSet] = useState<SchoolSet | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const [unreadable, setUnreadable] = useState<string | null>(null);
  const today = useToday();
  const read = useReadSet();
  const take = useTakeSet();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const open = async (file: File | undefined) => {
    setSet(null);
    setUnreadable(null);
    read.reset();
    if (!file) return;
    try {
      const content = await readSetFile(file);
      setSet(content);
      read.mutate({ instrumentId, set: content, today });
    } catch (error) {
      setUnreadable((error as Error).message);
    }
  };
  const reading = read.data;
  const news = reading?.lines.filter(({ verdict }) => verdict === 'new').length ?? 0;
  const accept = () => {
    if (set === null) return;
    const key = newKey();
    take.mutate(
      { key, instrumentId, set, now: wallNow() },
      {
        onSuccess: ({ taken }) => {
          notice({
            text: `${counted(taken, 'choice')} taken from “${set.name}”.`,
            undo: () => withdraw.mutate(key, { onError: (error) => notice({ text: error.message, tone: 'failed' }) }),
          });
          onClose();
        },
      },
    );
  };
  const problem = unreadable ?? faultOf(read.error) ?? faultOf(take.error);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="take-title">
      <DialogTitle id="take-title" variant="h2">
        Take choices from a file
      </DialogTitle>
      <DialogContent>
        <Button variant="outlined" color="inherit" onClick={() => picker.current?.click()} sx={{ minHeight: 52 }}>
          {set === null ? 'Choose the file' : 'Choose another file'}
        </Button>
        <input
          ref={picker}
          type="file"
          hidden
          accept="application/json,.json"
          onChange={({ target }) => void open(target.files?.[0])}
        />
        {problem && (
          <Alert severity="error" sx={{ mt: 2 }}>
            {problem}
          </Alert>
        )}
        {reading && !problem && (
          <Box sx={{ mt: 2 }}>
            <Typography>
              “{reading.name}”{reading.otherKind && ', made on another kind of instrument'}.
            </Typography>
            <Lines lines={reading.lines} />
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
        <BrassButton disabled={news === 0 || take.isPending || !!problem} onClick={accept}>
          {news === 0 ? 'Nothing to take' : `Take ${counted(news, 'choice')}`}
        </BrassButton>
      </DialogActions>
    </Dialog>
  );
}
