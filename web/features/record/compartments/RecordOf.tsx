import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { RecordEntryView } from '#contract/record.ts';
import { RecordList } from '#web/features/record/parts/RecordList.tsx';
import { recordQueries } from '#web/features/record/record.queries.ts';
import { useWithdraw } from '#web/record/withdraw.actions.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { useNotice } from '#web/ui/Notice.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';

const [CorrectEntry] = lazyPart(
  async () => (await import('#web/features/record/compartments/CorrectEntry.tsx')).CorrectEntry,
);

const RECORD_LINES = 20;

/** What stands in the record of an instrument, to be put right or taken back. */
export function RecordOf({ instrumentId }: { readonly instrumentId: InstrumentId }) {
  const query = useQuery(recordQueries.of(instrumentId, RECORD_LINES));
  const { withdraw, busy } = useWithdraw();
  const notice = useNotice();
  const [wrong, setWrong] = useState<RecordEntryView | null>(null);
  return (
    <Compartment title="Record">
      {wrong && <CorrectEntry key={wrong.key} entry={wrong} onClose={() => setWrong(null)} />}
      <QueryView query={query}>
        {({ entries }) => (
          <RecordList
            entries={entries}
            busy={busy}
            onCorrect={setWrong}
            onTakeBack={({ key, words }) => withdraw(key, () => notice({ text: `Undone: ${words}.` }))}
          />
        )}
      </QueryView>
    </Compartment>
  );
}
