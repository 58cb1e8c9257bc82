import { Box, Button, Typography } from '@mui/material';
import type { InstrumentPage } from '#contract/care.ts';
import { WhyFold } from '#web/ui/WhyFold.tsx';

type FirstNote = NonNullable<InstrumentPage['firstNote']>;

/** It is new here, or has rested long: what is looked at, oiled and greased before it is played. */
export const BeforeTheFirstNote = ({
  firstNote: { words, because, itemIds },
  busy,
  onStart,
}: {
  readonly firstNote: FirstNote;
  readonly busy: boolean;
  readonly onStart: (itemIds: FirstNote['itemIds']) => void;
}) => (
  <Box sx={{ mb: 2, width: '100%' }}>
    <WhyFold lines={because} about="the first note">
      <Typography component="span">{words}.</Typography>
    </WhyFold>
    <Button variant="outlined" color="inherit" disabled={busy} onClick={() => onStart(itemIds)} sx={{ mt: 0.5 }}>
      Look it over
    </Button>
  </Box>
);
