import {
  Box,
  Button,
  Checkbox,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Stack,
  TextField,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { toldParams } from '#contract/sittings.ts';
import { useQuery } from '@tanstack/react-query';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { useRenewFeed } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { useNotice } from '#web/ui/Notice.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';

type FeedSheetProps = { readonly playerId: PlayerId; readonly onClose: () => void };

type Told = Parameters<typeof toldParams>[0];
type TellWhatProps = { readonly told: Told; readonly onChange: (told: Told) => void };
/** What the calendar program is told; it stands in the address. */
const TellWhat = ({ told, onChange }: TellWhatProps) => (
  <Box>
    <FormControlLabel
      control={
        <Checkbox checked={told.alarms} onChange={({ target }) => onChange({ ...told, alarms: target.checked })} />
      }
      label="Remind me of sittings"
    />
    <FormControlLabel
      control={
        <Checkbox checked={told.imported} onChange={({ target }) => onChange({ ...told, imported: target.checked })} />
      }
      label="With what I have imported from other calendars"
    />
  </Box>
);

/** The address under which a calendar program finds the weeks, and the way to another one. */
export function FeedSheet({ playerId, onClose }: FeedSheetProps) {
  const feed = useQuery(calendarQueries.feed(playerId));
  const renew = useRenewFeed(playerId);
  const notice = useNotice();
  const [told, setTold] = useState({ imported: false, alarms: true });
  const path = feed.data?.path ?? null;
  const params = toldParams(told);
  const address = path === null ? null : `${window.location.origin}${path}${params === '' ? '' : `?${params}`}`;
  const copy = () => {
    if (address === null) return;
    navigator.clipboard.writeText(address).then(
      () => notice({ text: 'The address is copied.' }),
      () => notice({ text: 'It could not be copied. Select the address, and copy it by hand.', tone: 'failed' }),
    );
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="feed-title">
      <DialogTitle id="feed-title" variant="h1">
        Subscribe from a calendar program
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <Typography>
            A calendar program on this machine shows the same weeks when it subscribes to this address. Whoever has the
            address can read them.
          </Typography>
          {address === null ? (
            <BrassButton disabled={renew.isPending || feed.isPending} onClick={() => renew.mutate('another')}>
              Make an address
            </BrassButton>
          ) : (
            <>
              <TextField
                label="Address"
                value={address}
                multiline
                slotProps={{ input: { readOnly: true } }}
                onFocus={({ target }) => target.select()}
              />
              <TellWhat told={told} onChange={setTold} />
              <BrassButton onClick={copy}>Copy the address</BrassButton>
              <Button
                variant="outlined"
                color="inherit"
                disabled={renew.isPending}
                onClick={() => renew.mutate('another')}
              >
                Make a new address, and end the old one
              </Button>
              <Button color="inherit" disabled={renew.isPending} onClick={() => renew.mutate('none')}>
                End it: nobody finds my weeks there
              </Button>
            </>
          )}
          {renew.isError && <Typography role="alert">{renew.error.message}</Typography>}
          <Button color="inherit" onClick={onClose}>
            Close
          </Button>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
