import { Button, DialogContent, DialogTitle, Stack, TextField, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { useRenewFeed } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { useNotice } from '#web/ui/Notice.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';

type FeedSheetProps = { readonly playerId: PlayerId; readonly onClose: () => void };

/** The address under which a calendar program finds the weeks, and the way to another one. */
export function FeedSheet({ playerId, onClose }: FeedSheetProps) {
  const feed = useQuery(calendarQueries.feed(playerId));
  const renew = useRenewFeed(playerId);
  const notice = useNotice();
  const path = feed.data?.path ?? null;
  const address = path === null ? null : `${window.location.origin}${path}`;
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
        <Stack spacing={2} sx={{ pt: 1 }}>
          <Typography>
            A calendar program on this machine shows the same weeks when it subscribes to this address. Whoever has the
            address can read them.
          </Typography>
          {address === null ? (
            <BrassButton disabled={renew.isPending || feed.isPending} onClick={() => renew.mutate()}>
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
              <BrassButton onClick={copy}>Copy the address</BrassButton>
              <Button variant="outlined" color="inherit" disabled={renew.isPending} onClick={() => renew.mutate()}>
                Make a new address, and end the old one
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
