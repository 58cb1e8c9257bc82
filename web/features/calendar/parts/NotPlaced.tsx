import { Alert, Typography } from '@mui/material';
import { counted } from '#core/explain/format.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { PlacedItems, placedWhy } from '#web/features/calendar/parts/SittingDays.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Space } from '#web/ui/layout.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

/** What finds no day in six weeks, and what it needs. */
export function FindsNoDay({ left }: Pick<SittingsView, 'left'>) {
  if (left.length === 0) return null;
  return (
    <Compartment title="Finds no day">
      <PlacedItems items={left} />
      <WhyFold lines={placedWhy(left)} about="what finds no day" />
    </Compartment>
  );
}

/** Care that is in no sitting, for nobody knows when it was last done. */
export function InNoSittingYet({ unknown }: Pick<SittingsView, 'unknown'>) {
  if (unknown.length === 0) return null;
  return (
    <Compartment title="In no sitting yet">
      {unknown.map(({ instrumentId, name, count }) => (
        <Typography key={instrumentId}>
          Nobody knows when {counted(count, 'thing')} on {name} {count === 1 ? 'was' : 'were'} last done.{' '}
          <TallLink to={`/care/${instrumentId}`}>Say when</TallLink>
        </Typography>
      ))}
    </Compartment>
  );
}

/** What of the calendar does not go together: said until it is put right. */
export const GoesNotTogether = ({ clashes }: { readonly clashes: readonly string[] }) =>
  clashes.length === 0 ? null : (
    <Alert severity="warning">
      {clashes.map((words) => (
        <Space key={words}>{words}</Space>
      ))}
    </Alert>
  );

/** Instruments that are stopped: nothing is planned for them, and why stands here. */
export const StoppedInstruments = ({ stopped }: Pick<SittingsView, 'stopped'>) =>
  stopped.map(({ instrumentId, name, heading }) => (
    <Alert key={instrumentId} severity="warning">
      <Space>
        {name}: {heading}. Nothing is planned for it until somebody has looked.{' '}
        <TallLink to={`/faults/${instrumentId}`}>See it</TallLink>
      </Space>
    </Alert>
  ));
