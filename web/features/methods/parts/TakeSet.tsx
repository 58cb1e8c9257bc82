import { isOneOf } from '#core/kernel/typed.ts';
import { Alert, Button, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { counted } from '#core/explain/format.ts';
import type { SetReading } from '#contract/methods.ts';
import type { TakingSet } from '#web/features/methods/method-sets.actions.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { FileButton } from '#web/ui/FileButton.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Bullets } from '#web/ui/Quiet.tsx';

type TakeSetProps = { readonly taking: TakingSet; readonly onClose: () => void };
type Line = SetReading['lines'][number];

const HEADINGS = [
  { verdicts: ['new'], title: 'Will change' },
  { verdicts: ['same'], title: 'Already so' },
  { verdicts: ['not-asked', 'barred', 'unknown'], title: 'Not imported' },
] as const;

function Lines({ lines }: { readonly lines: readonly Line[] }) {
  return (
    <>
      {HEADINGS.map(({ verdicts, title }) => {
        const here = lines.filter(({ verdict }) => isOneOf(verdicts, verdict));
        if (here.length === 0) return null;
        return (
          <Space key={title} above={1.5}>
            <Typography variant="h3">{title}</Typography>
            <Bullets>
              {here.map(({ method, choice, question, words, why }) => (
                <Typography component="li" variant="body2" key={method}>
                  {question ?? method} <strong>{words ?? choice}</strong>
                  {why && ` — ${why}`}
                </Typography>
              ))}
            </Bullets>
          </Space>
        );
      })}
    </>
  );
}

/** Reads a file of choices, says what each would do here, and takes what is for this instrument. */
export function TakeSet({ taking, onClose }: TakeSetProps) {
  const { open, accept, chosen, busy, reading, problem } = taking;
  const news = reading?.lines.filter(({ verdict }) => verdict === 'new').length ?? 0;
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="take-title">
      <DialogTitle id="take-title" variant="h2">
        Import methods
      </DialogTitle>
      <DialogContent>
        <FileButton accept="application/json,.json" onPick={(file) => void open(file)}>
          {chosen ? 'Choose another file' : 'Choose the file'}
        </FileButton>
        {problem && (
          <Space above={2}>
            <Alert severity="error">{problem}</Alert>
          </Space>
        )}
        {reading && !problem && (
          <Space above={2}>
            <Typography>
              “{reading.name}”{reading.otherKind && ', made on another kind of instrument'}.
            </Typography>
            <Lines lines={reading.lines} />
          </Space>
        )}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
        <BrassButton disabled={news === 0 || busy || problem !== null} onClick={accept}>
          {news === 0 ? 'Nothing to take' : `Take ${counted(news, 'choice')}`}
        </BrassButton>
      </DialogActions>
    </Sheet>
  );
}
