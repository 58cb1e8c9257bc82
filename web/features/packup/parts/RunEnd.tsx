import { Box, Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import { listed } from '#core/explain/format.ts';
import type { RunView } from '#contract/packup.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';

type RunEndProps = { readonly run: RunView; readonly onUndo: () => void; readonly busy: boolean };

/** What the run left in the record: exactly what was done, and what still waits. */
export function RunEnd({ run, onUndo, busy }: RunEndProps) {
  const { doneNames: done, waitingNames: left } = run;
  return (
    <Compartment>
      <Typography variant="h1" sx={{ mb: 1 }}>
        {run.kind === 'after' ? 'Packed up.' : 'Done.'}
      </Typography>
      {done.length > 0 && <Typography sx={{ mb: 1 }}>In the record: {listed(done)}.</Typography>}
      {left.length > 0 && <Typography sx={{ mb: 1 }}>Still waits: {listed(left)}.</Typography>}
      <Box sx={{ display: 'flex', gap: 1.5, mt: 2, flexWrap: 'wrap' }}>
        <BrassButton {...{ component: Link, to: `/now/${run.parts[0]?.instrumentId}` }}>To Now</BrassButton>
        <Button color="inherit" variant="outlined" disabled={busy} onClick={onUndo} sx={{ minHeight: 56 }}>
          Undo: go on with this run
        </Button>
      </Box>
    </Compartment>
  );
}
