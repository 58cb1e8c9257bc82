import { Alert, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { HandoverAnswer } from '#core/calendar/handover.ts';
import type { HandoverList } from '#core/book/packing.ts';
import { counted, listed } from '#core/explain/format.ts';
import type { TicketView } from '#contract/bench.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useHandover } from '#web/features/bench/bench.actions.ts';
import { benchQueries } from '#web/features/bench/bench.queries.ts';
import { draftFrom, draftName, linesSaid, nextLine, type Draft } from '#web/features/bench/handover-draft.ts';
import { AskedLine } from '#web/features/bench/parts/AskedLine.tsx';
import { LinesSaid } from '#web/features/bench/parts/LinesSaid.tsx';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { forget, remember, useRemembered } from '#web/session/stored.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

const TITLES: Readonly<Record<HandoverList, string>> = { out: 'Pack it for the bench', back: 'When you fetch it' };
const LEADS: Readonly<Record<HandoverList, string>> = {
  out: 'Line by line, with the instrument in front of you.',
  back: 'Line by line, there at the bench, before you take it home.',
};
const KEPT: Readonly<Record<HandoverList, string>> = {
  out: 'It is packed for the bench.',
  back: 'It was looked at. Now say what the bench did.',
};

/** What a line is compared with. */
function besideOf(id: string, { wanted, note }: TicketView): readonly string[] {
  if (id === 'line-by-line') return wanted.map(({ name }) => name);
  return id === 'complaint' ? note : [];
}

/** When it was gone through before, and what was not so then. */
function lastWords(last: TicketView['packed']): string | null {
  if (last === null) return null;
  const when = `Last gone through on ${FORMAT.date(last.on)}.`;
  return last.notSo.length === 0
    ? when
    : `${when} Not so then: ${listed(last.notSo.map((one) => one.replace(/[.?]$/, '').toLowerCase()))}.`;
}

/** What is not so, counted; or that all is well. */
function sumWords(lines: TicketView['packing'], said: Draft['said']): string {
  const amiss = lines.filter(({ id }) => said[id] === 'not-so').length;
  return amiss === 0 ? 'All of it is as it should be.' : `${counted(amiss, 'thing')} not as it should be.`;
}

type LoadedProps = { readonly ticket: TicketView; readonly list: HandoverList };

function Loaded({ ticket, list }: LoadedProps) {
  const { instrumentId, instrument, withSomebody } = ticket;
  const lines = list === 'out' ? ticket.packing : ticket.pickUp;
  const ids = lines.map(({ id }) => id);
  const name = draftName(instrumentId, list);
  const today = useToday();
  const draft = draftFrom(useRemembered(name), today);
  const handover = useHandover();
  const navigate = useNavigate();
  const [shown, setShown] = useState<string | null>(null);
  const asked = shown ?? nextLine(ids, draft);
  const at = asked === null ? -1 : ids.indexOf(asked);
  const line = lines[at];
  const say = (id: string, answer: HandoverAnswer) => {
    remember(name, JSON.stringify({ ...draft, said: { ...draft.said, [id]: answer } }));
    // What is not so stays in sight, with what to do about it.
    setShown(answer === 'not-so' ? id : null);
  };
  const keep = () =>
    handover.log(
      { instrumentId, list, lines: linesSaid(ids, draft) },
      {
        said: KEPT[list],
        onLogged: () => {
          forget(name);
          void navigate(`/bench/${instrumentId}`);
        },
      },
    );
  const last = lastWords(list === 'out' ? ticket.packed : ticket.fetched);
  return (
    <Space width={620}>
      <Typography variant="h2" component="h1">
        {instrument}: {TITLES[list].toLowerCase()}
      </Typography>
      <Typography color="text.secondary">
        {LEADS[list]} {withSomebody && 'Do it together with a grown-up.'} {last}
      </Typography>
      <Space above={2}>
        {line ? (
          <AskedLine
            key={line.id}
            line={line}
            place={`${at + 1} of ${lines.length}`}
            beside={besideOf(line.id, ticket)}
            isAmiss={draft.said[line.id] === 'not-so'}
            onSaid={(answer) => say(line.id, answer)}
            onLeave={() => setShown(null)}
            onBack={at === 0 ? null : () => setShown(ids[at - 1] ?? null)}
          />
        ) : (
          <Grid gap={1.5}>
            <Typography variant="h2">{sumWords(lines, draft.said)}</Typography>
            <LinesSaid lines={lines} said={draft.said} onGoTo={setShown} />
            {handover.problem && <Alert severity="error">{handover.problem}</Alert>}
            <BrassButton disabled={handover.busy} onClick={keep}>
              {list === 'out' ? 'Note that it is packed' : 'Note that it was looked at'}
            </BrassButton>
          </Grid>
        )}
      </Space>
      <Row above={2} wrap>
        <Button color="inherit" component={Link} to={`/bench/${instrumentId}/ticket`}>
          The ticket, on paper
        </Button>
        <Button color="inherit" component={Link} to={`/bench/${instrumentId}`}>
          Back to {instrument}
        </Button>
      </Row>
      {line && <Quiet small>What you have said waits on this device until you note it.</Quiet>}
    </Space>
  );
}

function HandoverPage({ list }: { readonly list: HandoverList }) {
  const query = useQuery(benchQueries.ticket(useInstrumentId(), useToday()));
  return (
    <QueryView query={query} height={480} missing={NOT_ON_THIS_SHELF}>
      {(ticket) => <Loaded key={ticket.instrumentId} ticket={ticket} list={list} />}
    </QueryView>
  );
}

/** Packing an instrument for the bench, line by line. */
export const PackPage = () => <HandoverPage list="out" />;
/** Looking at an instrument when it is fetched from the bench, line by line. */
export const FetchPage = () => <HandoverPage list="back" />;
