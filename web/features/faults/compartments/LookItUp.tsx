import { Collapse, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { FaultBook } from '#contract/faults.ts';
import { useToday } from '#web/clock/today.ts';
import { faultQueries } from '#web/features/faults/faults.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Text } from '#web/ui/Text.tsx';
import { LineButton } from '#web/ui/LineButton.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Beside } from '#web/ui/Beside.tsx';

type Complaint = FaultBook['complaints'][number];

const CauseLine = ({ cause }: { readonly cause: Complaint['causes'][number] }) => (
  <Beside>
    <Text strong>{cause.name}</Text>
    {cause.looks.length > 0 && (
      <Typography variant="body2" color="text.secondary">
        Look first: {cause.looks[0]}
      </Typography>
    )}
    <Typography variant="body2">
      {cause.remedy.heading} · {cause.remedy.handWords.toLowerCase()}
    </Typography>
    {cause.remedy.never && (
      <Typography variant="body2" color="text.secondary">
        {cause.remedy.never}
      </Typography>
    )}
  </Beside>
);

function ComplaintRow({ complaint }: { readonly complaint: Complaint }) {
  const [open, setOpen] = useState(false);
  return (
    <PlainRow>
      <LineButton
        fullWidth
        color="inherit"
        aria-expanded={open}
        aria-label={`Look up: ${complaint.words}`}
        onClick={() => setOpen(!open)}
      >
        {complaint.words}
      </LineButton>
      <Collapse in={open} unmountOnExit>
        <Space below={1.5}>
          <PlainList gap={1}>
            {complaint.causes.map((cause) => (
              <CauseLine key={cause.cause} cause={cause} />
            ))}
          </PlainList>
        </Space>
      </Collapse>
    </PlainRow>
  );
}

/** Every sign of this instrument with its causes, first looks and remedies, without an interview. */
export function LookItUp({ instrumentId }: { readonly instrumentId: InstrumentId }) {
  const query = useQuery(faultQueries.book(instrumentId, useToday()));
  return (
    <Compartment title="Look it up">
      <QueryView query={query} height={400}>
        {({ complaints }) => (
          <PlainList>
            {complaints.map((complaint) => (
              <ComplaintRow key={complaint.sign} complaint={complaint} />
            ))}
          </PlainList>
        )}
      </QueryView>
    </Compartment>
  );
}
