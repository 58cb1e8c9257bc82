import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { COST_KINDS } from '#core/costs/bill.ts';
import { COST_KIND_WORDS } from '#core/costs/cost-kind-words.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { CostsView, InstrumentCosts } from '#contract/costs.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { BillSheet } from '#web/features/costs/compartments/BillSheet.tsx';
import { costQueries } from '#web/features/costs/costs.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { HeardOnly } from '#web/ui/HeardOnly.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

const [YearsChart] = lazyPart(async () => (await import('#web/features/costs/parts/YearsChart.tsx')).YearsChart, 198);
/** Bills that are shown before one asks for more. */
const SHOWN = 4;

/** Every year, for those who hear the page. */
const HeardYears = ({ years, currency }: { readonly years: InstrumentCosts['years']; readonly currency: string }) => (
  <HeardOnly>
    <table>
      <caption>Costs by year</caption>
      <tbody>
        {years.map((year) => (
          <tr key={year.year}>
            <th scope="row">{year.year}</th>
            {COST_KINDS.filter((kind) => year[kind] > 0).map((kind) => (
              <td key={kind}>
                {COST_KIND_WORDS[kind]}: {FORMAT.money({ minor: year[kind], currency })}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  </HeardOnly>
);

function Loaded({ view, costs }: { readonly view: CostsView; readonly costs: InstrumentCosts }) {
  const [adding, setAdding] = useState(false);
  const [all, setAll] = useState(false);
  const { years, bills, words } = costs;
  const bought = years.filter(({ sum }) => sum > 0);
  return (
    <Compartment
      title="What it costs"
      aside={
        <Button color="inherit" onClick={() => setAdding(true)}>
          Add a bill or a quote
        </Button>
      }
    >
      <Typography>{words}</Typography>
      {view.currency !== null && bought.length > 0 && (
        <>
          <YearsChart years={years.slice(-8)} currency={view.currency} />
          <HeardYears years={years} currency={view.currency} />
        </>
      )}
      <PlainList>
        {(all ? bills : bills.slice(0, SHOWN)).map((bill) => (
          <PlainRow key={bill.key}>
            <Typography>
              {bill.words}
              <Quiet> · {FORMAT.date(bill.on)}</Quiet>
            </Typography>
          </PlainRow>
        ))}
      </PlainList>
      {!all && bills.length > SHOWN && (
        <Button color="inherit" onClick={() => setAll(true)}>
          All {bills.length}
        </Button>
      )}
      {adding && <BillSheet view={view} instrumentId={costs.instrumentId} onClose={() => setAdding(false)} />}
    </Compartment>
  );
}

type WhatItCostsProps = { readonly playerId: PlayerId; readonly instrumentId: InstrumentId };

/** What an instrument has cost, and the way to write down what it costs. */
export function WhatItCosts({ playerId, instrumentId }: WhatItCostsProps) {
  const { data: view } = useQuery(costQueries.of(playerId, useToday()));
  const costs = view?.instruments.find((one) => one.instrumentId === instrumentId);
  return view && costs ? <Loaded view={view} costs={costs} /> : null;
}
