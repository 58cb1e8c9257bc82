import { Autocomplete, DialogContent, DialogTitle, Stack, TextField } from '@mui/material';
import { useState } from 'react';
import type { BillSort } from '#core/costs/bill.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { plainName } from '#core/kernel/visible-text.ts';
import { moneyAsTyped, typedMoney } from '#core/money/money.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Said } from '#contract/fact.ts';
import type { billFact, CostsView } from '#contract/costs.ts';
import { useBill } from '#web/features/costs/costs.actions.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { CostField, isCostRight } from '#web/ui/CostField.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';

type BillSheetProps = {
  readonly view: CostsView;
  readonly instrumentId: InstrumentId;
  /** What was said, where it is put right. */
  readonly said?: Said<typeof billFact>;
  readonly corrects?: string;
  readonly onClose: () => void;
};

const SORTS = [
  { value: 'bill', words: 'A bill' },
  { value: 'quote', words: 'A quote' },
] as const satisfies readonly { value: BillSort; words: string }[];
const MOST_COMMON = 'EUR';

/** What the form begins with: what was said, where it is put right. */
const begunWith = (view: CostsView, said: BillSheetProps['said']) => ({
  sort: said?.sort ?? ('bill' as const),
  works: view.works.filter(({ work }) => said?.works.includes(work) === true),
  what: said?.what ?? '',
  on: said?.saidOn ?? view.today,
  cost: {
    cost: said ? moneyAsTyped(said.cost) : '',
    currency: said?.cost.currency ?? view.currency ?? MOST_COMMON,
  },
});

/** What something cost or will cost: work at the bench by its name, or a thing that was bought. */
export function BillSheet({ view, instrumentId, said, corrects, onClose }: BillSheetProps) {
  const bill = useBill();
  const begun = begunWith(view, said);
  const [sort, setSort] = useState<BillSort>(begun.sort);
  const [works, setWorks] = useState(begun.works);
  const [what, setWhat] = useState(begun.what);
  const [on, setOn] = useState<LocalDate | null>(begun.on);
  const [cost, setCost] = useState(begun.cost);
  const amount = typedMoney(cost.cost, cost.currency);
  const name = plainName(what) || null;
  const isWhole = amount !== null && on !== null && (works.length > 0 || name !== null);
  const keep = () => {
    if (amount === null || on === null) return;
    bill.log(
      { instrumentId, sort, works: works.map(({ work }) => work), what: name, cost: amount, saidOn: on },
      {
        said: sort === 'bill' ? 'The bill is noted.' : 'The quote is noted.',
        ...(corrects === undefined ? {} : { corrects }),
        onLogged: onClose,
      },
    );
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="bill-title">
      <DialogTitle id="bill-title" variant="h2">
        What it cost, or will cost
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <ChooseOne label="What it is" labelHidden options={SORTS} value={sort} onChange={setSort} />
          <Autocomplete
            multiple
            options={view.works}
            value={works}
            getOptionLabel={(one) => one.name}
            isOptionEqualToValue={(one, other) => one.work === other.work}
            onChange={(_, chosen) => setWorks(chosen)}
            renderInput={(params) => <TextField {...params} label="Work at the bench" />}
          />
          <TextField
            label={works.length > 0 ? 'In your words, if you like' : 'Or something bought'}
            value={what}
            onChange={({ target }) => setWhat(target.value)}
            slotProps={{ htmlInput: { maxLength: 80 } }}
          />
          <CostField
            label={sort === 'bill' ? 'What it cost' : 'What it will cost'}
            {...cost}
            isKnown={view.currency !== null}
            onChange={setCost}
          />
          <DateField label={sort === 'bill' ? 'Paid on' : 'Said on'} value={on} onChange={setOn} latest={view.today} />
          <SheetEnd
            problem={bill.problem}
            disabled={bill.busy || !isWhole || !isCostRight(cost.cost, cost.currency)}
            onKeep={keep}
            onClose={onClose}
          >
            Note it
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
