import { Button, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import type { LocalDate } from '#core/time/local-date.ts';
import type { FaultsPage } from '#contract/faults.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useMishap } from '#web/features/faults/faults.actions.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';
import { Row } from '#web/ui/layout.tsx';
import { LineButton } from '#web/ui/LineButton.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type Offer = FaultsPage['mishapOffers'][number];

/** What happened, on which day, and where it was knocked. */
function MishapSheet({ page, onClose }: { readonly page: FaultsPage; readonly onClose: () => void }) {
  const today = useToday();
  const mishap = useMishap(page.instrumentId);
  const [offer, setOffer] = useState<Offer | null>(null);
  const [part, setPart] = useState<string>('');
  const [on, setOn] = useState<LocalDate | null>(today);
  const keep = () => {
    if (offer === null || on === null) return;
    const knocked = page.parts.find((one) => one.part === part)?.part ?? null;
    const { name, asksPart } = offer;
    mishap.say({ mishap: offer.mishap, name, part: asksPart ? knocked : null, happenedOn: on }, onClose);
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="mishap-title">
      <DialogTitle id="mishap-title" variant="h2">
        {offer?.name ?? 'What happened to it?'}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={1.5}>
          {offer === null ? (
            page.mishapOffers.map((one) => (
              <LineButton key={one.mishap} variant="outlined" color="inherit" onClick={() => setOffer(one)}>
                {one.name}
              </LineButton>
            ))
          ) : (
            <>
              {offer.asksPart && (
                <Row role="group" aria-label="Where" wrap>
                  {[{ part: '', name: 'Nobody knows where' }, ...page.parts].map((one) => (
                    <Button
                      key={one.part}
                      variant={part === one.part ? 'contained' : 'outlined'}
                      color={part === one.part ? 'primary' : 'inherit'}
                      aria-pressed={part === one.part}
                      onClick={() => setPart(one.part)}
                      size="large"
                    >
                      {one.name}
                    </Button>
                  ))}
                </Row>
              )}
              <DateField label="When" value={on} onChange={setOn} />
              <SheetEnd problem={mishap.problem} disabled={mishap.busy || on === null} onKeep={keep} onClose={onClose}>
                Note it
              </SheetEnd>
            </>
          )}
        </Stack>
      </DialogContent>
    </Sheet>
  );
}

/** What happened to it and still counts. */
export function Mishaps({ page }: { readonly page: FaultsPage }) {
  const [open, setOpen] = useState(false);
  return (
    <Compartment
      title="What happened to it"
      aside={
        <Button color="inherit" onClick={() => setOpen(true)}>
          Something happened
        </Button>
      }
    >
      {page.mishaps.length === 0 ? (
        <Typography color="text.secondary">
          A fall, a cold night, a hot car, water: what you note here is thought of when something is wrong.
        </Typography>
      ) : (
        <PlainList>
          {page.mishaps.map(({ key, words, on }) => (
            <PlainRow key={key}>
              <Typography>
                {words}
                <Quiet> · {FORMAT.weekdayDate(on)}</Quiet>
              </Typography>
            </PlainRow>
          ))}
        </PlainList>
      )}
      {open && <MishapSheet page={page} onClose={() => setOpen(false)} />}
    </Compartment>
  );
}
