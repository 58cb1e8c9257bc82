import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { InstrumentPage } from '#contract/care.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { BuildForm } from '#web/features/instruments/parts/BuildForm.tsx';
import { useReviseBuild, useSetDeparture } from '#web/features/instruments/instruments.actions.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Text } from '#web/ui/Text.tsx';

/** The build can be put right at any time; the clocks follow at once. */
function EditBuild({ instrument }: { readonly instrument: InstrumentPage['instrument'] }) {
  const [open, setOpen] = useState(false);
  const kinds = useQuery({ ...instrumentQueries.kinds(), enabled: open });
  const revise = useReviseBuild();
  const kind = kinds.data?.find(({ id }) => id === instrument.kind);
  const save = (build: Record<string, string>) =>
    revise.log(
      { instrumentId: instrument.id, build },
      { said: 'The build is saved. Its care follows it.', onLogged: () => setOpen(false) },
    );
  return (
    <>
      <Button color="inherit" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Close' : 'Edit the build'}
      </Button>
      {open && kind && <BuildForm kind={kind} build={instrument.build} busy={revise.busy} onSave={save} />}
    </>
  );
}

export function AboutInstrument({ page: { instrument } }: { readonly page: InstrumentPage }) {
  const departure = useSetDeparture();
  const today = useToday();
  const set = (leftOn: LocalDate | null) =>
    departure.log(
      { instrumentId: instrument.id, leftOn },
      { said: `${instrument.name} ${leftOn === null ? 'is back on' : 'has left'} the shelf.` },
    );
  return (
    <Compartment title="This instrument">
      <Typography>{[instrument.kindName, ...instrument.buildWords.slice(1)].join(' · ')}</Typography>
      <Text variant="body2" color="text.secondary" below={1}>
        Came {instrument.cameNew ? 'new' : 'used'} on {FORMAT.date(instrument.acquiredOn)}
        {instrument.leftOn && `, left the shelf on ${FORMAT.date(instrument.leftOn)}`}.
      </Text>
      <EditBuild instrument={instrument} />
      {instrument.leftOn === null ? (
        <Button color="inherit" disabled={departure.busy} onClick={() => set(today)}>
          Take it off the shelf
        </Button>
      ) : (
        <Button variant="outlined" color="inherit" disabled={departure.busy} onClick={() => set(null)}>
          Put it back on the shelf
        </Button>
      )}
    </Compartment>
  );
}
