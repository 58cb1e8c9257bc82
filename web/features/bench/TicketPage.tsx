import { Button, DialogContent, DialogTitle, Stack, TextField, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { plainName } from '#core/kernel/visible-text.ts';
import type { TicketView } from '#contract/bench.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useSerial } from '#web/features/bench/bench.actions.ts';
import { benchQueries } from '#web/features/bench/bench.queries.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { Actions } from '#web/ui/Actions.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { PaperLines, PaperPart } from '#web/ui/Paper.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { fileName, saveFile } from '#web/ui/save-file.ts';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';
import { Text } from '#web/ui/Text.tsx';
import { TickBox } from '#web/ui/TickBox.tsx';

/** The number stamped on it. */
function SerialSheet({ ticket, onClose }: { readonly ticket: TicketView; readonly onClose: () => void }) {
  const kept = useSerial();
  const [serial, setSerial] = useState(ticket.serial ?? '');
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="serial-title">
      <DialogTitle id="serial-title" variant="h2">
        The serial number
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <TextField
            label="As it is stamped on it"
            value={serial}
            onChange={({ target }) => setSerial(target.value)}
            slotProps={{ htmlInput: { maxLength: 40 } }}
          />
          <SheetEnd
            problem={kept.problem}
            disabled={kept.busy}
            onKeep={() =>
              kept.log(
                { instrumentId: ticket.instrumentId, serial: plainName(serial) || null },
                { said: 'The serial number is noted.', onLogged: onClose },
              )
            }
            onClose={onClose}
          >
            Note it
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}

/** A list to be ticked with a pencil. */
const ToTick = ({ lines }: { readonly lines: TicketView['packing'] }) => (
  <Grid gap={0.25} columns={{ xs: '1fr', sm: '1fr 1fr' }}>
    {lines.map(({ id, text }) => (
      <Row key={id} align="baseline">
        <TickBox />
        <Typography>{text}</Typography>
      </Row>
    ))}
  </Grid>
);

const named = (lines: TicketView['wanted']) =>
  lines.map(({ name, text }) => (
    <>
      <strong>{name}.</strong> {text}
    </>
  ));

function TicketOf({ ticket }: { readonly ticket: TicketView }) {
  const [asking, setAsking] = useState(false);
  const { instrument, kindName, build, serial, player, bench, wanted, note, readings, last, today } = ticket;
  return (
    <Space width={760}>
      <Space data-not-printed below={2}>
        <Actions>
          <BrassButton onClick={() => window.print()}>Print it</BrassButton>
          <Button
            color="inherit"
            onClick={() => saveFile(ticket.asText, `${fileName(instrument, 'ticket')}-bench.txt`, 'text/plain')}
          >
            Save it as a text file
          </Button>
          <Button color="inherit" onClick={() => setAsking(true)}>
            {serial === null ? 'Add the serial number' : 'Change the serial number'}
          </Button>
          <Button color="inherit" component={Link} to={`/bench/${ticket.instrumentId}`}>
            Back to {instrument}
          </Button>
        </Actions>
      </Space>
      <Typography variant="h1">{instrument}: for the bench</Typography>
      <Typography>
        {kindName}, played by {player}. {FORMAT.date(today)}.{bench.name !== null && ` ${bench.name}`}
        {bench.phone !== null && `, ${bench.phone}`}
      </Typography>
      <Typography>
        Serial number: {serial ?? 'not written down'}. {build.join(', ')}.
      </Typography>
      <PaperPart title="To be done">
        {wanted.length === 0 ? (
          <Typography>Nothing calls for the bench. Write below what you want of it.</Typography>
        ) : (
          <PaperLines long lines={named(wanted)} />
        )}
      </PaperPart>
      {note.length > 0 && (
        <PaperPart title="What was noticed and tried">
          <PaperLines long lines={note} />
        </PaperPart>
      )}
      {readings.length > 0 && (
        <PaperPart title="What was measured">
          <PaperLines long lines={named(readings)} />
        </PaperPart>
      )}
      {(last !== null || ticket.hasCase) && (
        <PaperPart title="Before, and with it">
          {last !== null && <Typography>The bench had it last on {last}</Typography>}
          {ticket.hasCase && (
            <Typography>The case goes along: please look at its lining, hinges and latches.</Typography>
          )}
        </PaperPart>
      )}
      <PaperPart title="Before it goes">
        <ToTick lines={ticket.packing} />
      </PaperPart>
      <PaperPart title="When you fetch it">
        <ToTick lines={ticket.pickUp} />
        <Text above={1} ink="text.secondary">
          Tell Ulu that it is back, what was done and what it cost: its clocks and lines count from there.
        </Text>
      </PaperPart>
      {asking && <SerialSheet ticket={ticket} onClose={() => setAsking(false)} />}
    </Space>
  );
}

/** What goes along to the bench on paper: what is wrong and since when, what was tried and measured, what to pack and check. */
export function TicketPage() {
  const query = useQuery(benchQueries.ticket(useInstrumentId(), useToday()));
  return (
    <QueryView query={query} height={560} missing={NOT_ON_THIS_SHELF}>
      {(ticket) => <TicketOf ticket={ticket} />}
    </QueryView>
  );
}
