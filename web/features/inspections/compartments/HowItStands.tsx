import { Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { InspectionsPage, MeasureView } from '#contract/inspections.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { inspectionQueries } from '#web/features/inspections/inspections.queries.ts';
import { InspectionSheet } from '#web/features/inspections/compartments/InspectionSheet.tsx';
import { MeasureRow } from '#web/features/inspections/parts/MeasureRow.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Space } from '#web/ui/layout.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { Text } from '#web/ui/Text.tsx';

const keyOf = ({ measure, place }: MeasureView): string => `${measure} ${place ?? ''}`;
/** What asks for something first, then what is on its way, then the rest. */
function rankOf({ newest, reaches }: MeasureView): number {
  if (newest?.grade === 'bench') return 0;
  if (newest?.grade === 'sooner') return 1;
  return reaches ? 2 : 3;
}

function Loaded({ page }: { readonly page: InspectionsPage }) {
  const [looking, setLooking] = useState(false);
  const read = page.measures.filter(({ lines }) => lines.length > 0).toSorted((a, b) => rankOf(a) - rankOf(b));
  const first = read.find(({ reaches }) => reaches !== null);
  const [open, setOpen] = useState<string | null>(first ? keyOf(first) : null);
  const unread = page.measures.length - read.length;
  return (
    <Compartment title="How it stands">
      <Text measured>{page.headline}</Text>
      <Space above={1.5} below={1}>
        <BrassButton onClick={() => setLooking(true)}>Look it over</BrassButton>
      </Space>
      {page.nextOn !== null && (
        <Quiet>
          {page.nextOn <= page.today
            ? `Something is to be looked at again since ${FORMAT.date(page.nextOn)}.`
            : `Look again on ${FORMAT.date(page.nextOn)} at the latest.`}
        </Quiet>
      )}
      <PlainList>
        {read.map((measure) => (
          <MeasureRow
            key={keyOf(measure)}
            measure={measure}
            open={open === keyOf(measure)}
            onToggle={() => setOpen(open === keyOf(measure) ? null : keyOf(measure))}
          />
        ))}
      </PlainList>
      {read.length > 0 && unread > 0 && (
        <Typography color="text.secondary">
          {unread === 1 ? 'One more thing has' : `${unread} more things have`} not been read yet.
        </Typography>
      )}
      {looking && <InspectionSheet page={page} onClose={() => setLooking(false)} />}
    </Compartment>
  );
}

/** What was measured on an instrument, where it goes, and the way to look it over. */
export function HowItStands({ instrumentId }: { readonly instrumentId: InstrumentId }) {
  const query = useQuery(inspectionQueries.of(instrumentId, useToday()));
  return (
    <QueryView query={query} height={420} missing={NOT_ON_THIS_SHELF}>
      {(page) => <Loaded page={page} />}
    </QueryView>
  );
}
