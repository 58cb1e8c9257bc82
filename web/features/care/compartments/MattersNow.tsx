import { Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { InstrumentPage } from '#contract/care.ts';
import { useToday } from '#web/clock/today.ts';
import { useCareActions } from '#web/features/care/care.actions.ts';
import { AskedDone } from '#web/features/care/parts/AskedDone.tsx';
import { careWaits } from '#web/features/care/parts/care-waits.ts';
import { CareRow } from '#web/features/care/parts/CareRow.tsx';
import { callingOf } from '#web/features/care/parts/calling-of.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';

const SHOWN = 4;

/** The few things that call for attention; nothing does while it is at the bench or stopped. */
export function MattersNow({ page }: { readonly page: InstrumentPage }) {
  const today = useToday();
  const { instrument } = page;
  const care = useCareActions(instrument.id, instrument.playerId);
  const calling = callingOf(page);
  const waits = careWaits(page);
  // What somebody has noticed never falls off the page.
  const shown = Math.max(SHOWN, calling.filter(({ noticed }) => noticed).length);
  return (
    <Compartment
      title="What matters now"
      aside={
        <Button {...{ component: Link, to: `/care/${instrument.id}` }} color="inherit">
          All care
        </Button>
      }
    >
      {calling.length === 0 && (
        <Typography>
          {page.awayUntil !== null
            ? 'Nothing for you to do: its care waits until it is back.'
            : waits
              ? `Nothing for you to do: its care ${waits}.`
              : 'Nothing is due. All regular care is done.'}
        </Typography>
      )}
      <PlainList>
        {calling.slice(0, shown).map((clock) => (
          <CareRow key={clock.itemId} clock={clock} today={today} actions={care} />
        ))}
      </PlainList>
      {calling.length > shown && (
        <Typography variant="body2" color="text.secondary">
          and {calling.length - shown} more under Care
        </Typography>
      )}
      <AskedDone care={care} instrument={instrument} />
    </Compartment>
  );
}
