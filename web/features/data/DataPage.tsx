import { Alert, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useToday } from '#web/clock/today.ts';
import { BringIn } from '#web/features/data/compartments/BringIn.tsx';
import { Copies } from '#web/features/data/compartments/Copies.tsx';
import { TakeOut } from '#web/features/data/compartments/TakeOut.tsx';
import { useBringIn } from '#web/features/data/data.actions.ts';
import { dataQueries } from '#web/features/data/data.queries.ts';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';

const [IncomingSheet] = lazyPart(
  async () => (await import('#web/features/data/compartments/IncomingSheet.tsx')).IncomingSheet,
);

/** The record as files: copies of it, what goes out, what comes in. */
export function DataPage() {
  const query = useQuery(dataQueries.page(useToday()));
  const bringing = useBringIn();
  const [opened, setOpened] = useState<string | null>(null);
  const bring = (what: File | { readonly copy: string }) =>
    bringing.mutate(what, { onSuccess: ({ id }) => setOpened(id) });
  return (
    <QueryView query={query} height={520}>
      {(view) => (
        <TwoColumns wide="left">
          <Column>
            <Copies view={view} onTakeBack={(copy) => bring({ copy })} />
            <BringIn busy={bringing.isPending} onPick={bring} />
            {bringing.error && <Alert severity="error">{bringing.error.message}</Alert>}
          </Column>
          <Column>
            <TakeOut />
            <Typography variant="body2" color="text.secondary">
              Your record lies on this machine, in {view.folder}, its copies in {view.copiesFolder}.
            </Typography>
          </Column>
          {opened && <IncomingSheet key={opened} id={opened} onClose={() => setOpened(null)} />}
        </TwoColumns>
      )}
    </QueryView>
  );
}
