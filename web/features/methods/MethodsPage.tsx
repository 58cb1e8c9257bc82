import type { InstrumentId } from '#core/instruments/instrument.ts';
import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { counted, duration, roughly } from '#core/explain/format.ts';
import { METHOD_MOMENTS } from '#core/book/method-ids.ts';
import type { MethodsPage as MethodsPageView } from '#contract/methods.ts';
import { useToday } from '#web/clock/today.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { GiveSet } from '#web/features/methods/parts/GiveSet.tsx';
import { QuestionLine } from '#web/features/methods/parts/QuestionLine.tsx';
import { TakeSet } from '#web/features/methods/parts/TakeSet.tsx';
import { useGivingSet, useTakingSet } from '#web/features/methods/method-sets.actions.ts';
import { useChooseMethod } from '#web/features/methods/methods.actions.ts';
import { methodQueries } from '#web/features/methods/methods.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';

/** What a year asks for, as things stand: every choice below is measured against it. */
function Year({ page: { year } }: { readonly page: MethodsPageView }) {
  const passes = year.passes > 0 ? `, ${year.passes === 1 ? 'one pass' : `${year.passes} passes`}` : '';
  return (
    <Row gap={4} wrap align="baseline">
      <Box>
        <Typography component="span" variant="h1">
          about {roughly(year.minutes)}
        </Typography>{' '}
        <Typography component="span" color="text.secondary">
          of care in a year
        </Typography>
      </Box>
      <Typography color="text.secondary">
        {counted(Math.round(year.plays), 'play')} at your usual weeks · {duration(year.beforeMinutes)} to make ready ·{' '}
        {duration(year.afterMinutes)} to pack up{passes}
      </Typography>
    </Row>
  );
}

type DialogProps = { readonly instrumentId: InstrumentId; readonly onClose: () => void };

function Giving({ instrumentId, chosen, onClose }: DialogProps & { readonly chosen: number }) {
  const { busy, problem, save } = useGivingSet(instrumentId, onClose);
  return <GiveSet chosen={chosen} busy={busy} problem={problem} onSave={save} onClose={onClose} />;
}

function Taking({ instrumentId, onClose }: DialogProps) {
  return <TakeSet taking={useTakingSet(instrumentId, onClose)} onClose={onClose} />;
}

function Loaded({ page }: { readonly page: MethodsPageView }) {
  const [open, setOpen] = useState<string | null>(null);
  const [dialog, setDialog] = useState<'give' | 'take' | null>(null);
  const { busy, choose } = useChooseMethod(page.instrumentId);
  const own = page.methods.filter(({ byPlayer }) => byPlayer).length;
  const groups = METHOD_MOMENTS.map((moment) => ({
    moment,
    methods: page.methods.filter((one) => one.moment === moment),
  })).filter(({ methods }) => methods.length > 0);
  return (
    <Grid gap={2}>
      <Compartment>
        <Row wrap align="baseline" below={1}>
          <Typography variant="h1">Methods for {page.name}</Typography>
          <Typography color="text.secondary">
            {counted(page.methods.length, 'question')} on which practice differs ·{' '}
            {own === 0 ? 'all at their defaults' : `${own} answered by you`}
          </Typography>
        </Row>
        <Year page={page} />
        <Row wrap above={1.5}>
          <Button variant="outlined" color="inherit" onClick={() => setDialog('give')}>
            Share your methods
          </Button>
          <Button variant="outlined" color="inherit" onClick={() => setDialog('take')}>
            Import methods
          </Button>
          <Button {...{ component: Link, to: `/care/${page.instrumentId}` }} color="inherit">
            Back to its care
          </Button>
        </Row>
      </Compartment>
      {groups.map(({ moment, methods }) => (
        <Compartment key={moment} title={moment}>
          <PlainList>
            {methods.map((method) => (
              <QuestionLine
                key={method.method}
                method={method}
                open={open === method.method}
                busy={busy}
                onToggle={() => setOpen(open === method.method ? null : method.method)}
                onChoose={(choice) => choose(method, choice)}
              />
            ))}
          </PlainList>
        </Compartment>
      ))}
      <Typography variant="body2" color="text.secondary">
        The maker’s leaflet overrules every choice.
      </Typography>
      {dialog === 'give' && <Giving instrumentId={page.instrumentId} chosen={own} onClose={() => setDialog(null)} />}
      {dialog === 'take' && <Taking instrumentId={page.instrumentId} onClose={() => setDialog(null)} />}
    </Grid>
  );
}

/** How one instrument is looked after where practice differs, and what each other way would cost. */
export function MethodsPage() {
  const instrumentId = useInstrumentId();
  const query = useQuery(methodQueries.page(instrumentId, useToday()));
  return (
    <QueryView query={query} height={560} missing={NOT_ON_THIS_SHELF}>
      {(page) => <Loaded page={page} />}
    </QueryView>
  );
}
