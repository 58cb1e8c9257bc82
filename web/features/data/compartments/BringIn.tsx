import { LinearProgress, Typography } from '@mui/material';
import { Compartment } from '#web/ui/Compartment.tsx';
import { FileButton } from '#web/ui/FileButton.tsx';
import { Grid } from '#web/ui/layout.tsx';

type BringInProps = { readonly busy: boolean; readonly onPick: (file: File) => void };

/** One way in for every file: what it is, it says itself. */
export const BringIn = ({ busy, onPick }: BringInProps) => (
  <Compartment title="Import">
    <Grid gap={1.5} start>
      <Typography variant="body2" color="text.secondary">
        A copy, a record from another machine, an instrument’s history, or a table of plays or care from any spreadsheet
        (saved as CSV). You see what it would change before anything is written.
      </Typography>
      <FileButton accept=".gz,.db,.json,.csv,.tsv,.txt" disabled={busy} onPick={onPick}>
        Choose a file
      </FileButton>
      {busy && <LinearProgress aria-label="Receiving the file" sx={{ alignSelf: 'stretch' }} />}
    </Grid>
  </Compartment>
);
