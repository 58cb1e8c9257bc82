import { Button, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { moneyAsTyped, typedMoney } from '#core/money/money.ts';
import type { ComingView, CostsView } from '#contract/costs.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useSaved } from '#web/features/costs/costs.actions.ts';
import { costQueries } from '#web/features/costs/costs.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { CostField } from '#web/ui/CostField.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Space } from '#web/ui/layout.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';
import { Text } from '#web/ui/Text.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

const [SavingChart] = lazyPart(
  async () => (await import('#web/features/costs/parts/SavingChart.tsx')).SavingChart,
  190,
);

type SavedSheetProps = { readonly view: CostsView; readonly currency: string; readonly onClose: () => void };

/** What somebody has put aside so far. */
function SavedSheet({ view, currency, onClose }: SavedSheetProps) {
  const saved = useSaved();
  const [cost, setCost] = useState(view.saved ? moneyAsTyped({ minor: view.saved.minor, currency }) : '');
  const amount = typedMoney(cost, currency);
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="saved-title">
      <DialogTitle id="saved-title" variant="h2">
        How much is put aside?
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <CostField
            label="Put aside so far"
            cost={cost}
            currency={currency}
            isKnown
            onChange={(next) => setCost(next.cost)}
          />
          <SheetEnd
            problem={saved.problem}
            disabled={saved.busy || amount === null}
            onKeep={() => {
              if (amount)
                saved.log(
                  { playerId: view.playerId, amount },
                  { said: 'What is put aside is noted.', onLogged: onClose },
                );
            }}
            onClose={onClose}
          >
            Note it
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}

/** Something that is to be paid. */
const ComingRow = ({ one }: { readonly one: ComingView }) => (
  <PlainRow columns="1fr auto" align="baseline">
    <Typography>
      {one.name}
      <Quiet> · {FORMAT.date(one.on)}</Quiet>
      {one.putOff !== null && (
        <>
          <br />
          <Quiet small>{one.putOff}</Quiet>
        </>
      )}
    </Typography>
    <Text align="right">
      {!one.isSaid && <Quiet>about </Quiet>}
      {one.words}
    </Text>
  </PlainRow>
);

function Loaded({ view }: { readonly view: CostsView }) {
  const [open, setOpen] = useState(false);
  const { plan, currency, coming, saved } = view;
  if (plan === null || currency === null)
    return (
      <Compartment title="What to put aside">
        <Typography color="text.secondary">
          Write down one price you know: a box of reeds, or the bill of a service. The others are reckoned from it.
        </Typography>
      </Compartment>
    );
  return (
    <Compartment
      title="What to put aside"
      aside={
        <Button color="inherit" onClick={() => setOpen(true)}>
          {saved ? `Put aside: ${FORMAT.money({ minor: saved.minor, currency })}` : 'Say what is put aside'}
        </Button>
      }
    >
      <WhyFold lines={plan.because} about="what to put aside">
        <Text component="span" strong>
          {plan.words}
        </Text>
      </WhyFold>
      {coming.length > 0 && (
        <Space above={1}>
          <SavingChart months={plan.months} currency={currency} />
          <PlainList aria-label="What is to come">
            {coming.map((one) => (
              <ComingRow key={one.key} one={one} />
            ))}
          </PlainList>
        </Space>
      )}
      {open && <SavedSheet view={view} currency={currency} onClose={() => setOpen(false)} />}
    </Compartment>
  );
}

/** What is to be paid in two years, and what to put aside for it each month. */
export function PutAside({ playerId }: { readonly playerId: PlayerId }) {
  const { data: view } = useQuery(costQueries.of(playerId, useToday()));
  return view ? <Loaded view={view} /> : <Space height={160} />;
}
