import { Checkbox, DialogContent, DialogTitle, FormControlLabel, Stack } from '@mui/material';
import { useState } from 'react';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { WorkId } from '#core/book/work.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { typedMoney } from '#core/money/money.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { BenchView, OpenStayView } from '#contract/bench.ts';
import type { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { CostField, isCostRight } from '#web/ui/CostField.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';
import { Text } from '#web/ui/Text.tsx';

type StaySheetProps = Pick<BenchView, 'currency' | 'today'> & {
  readonly playerId: PlayerId;
  readonly stay: OpenStayView;
  readonly event: ReturnType<typeof useEvent>;
  readonly onClose: () => void;
};

const MOST_COMMON = 'EUR';
/** Items that are shown before one asks for more: the likeliest stand first. */
const SHOWN = 4;

/** Care of the book, or work that was asked for. */
type Done = { readonly instrumentId: InstrumentId; readonly what: CareItemId | WorkId };
const same = (one: Done, other: Done): boolean => one.instrumentId === other.instrumentId && one.what === other.what;

type WorkProps = {
  readonly instrument: OpenStayView['instruments'][number];
  readonly done: readonly Done[];
  readonly onToggle: (one: Done) => void;
};

/** What a bench may have done on one instrument. */
function Work({ instrument: { instrumentId, name, items, works }, done, onToggle }: WorkProps) {
  const [all, setAll] = useState(false);
  const offered: { readonly what: Done['what']; readonly words: string }[] = [
    ...works.map((one) => ({ what: one.work, words: one.name })),
    ...(all ? items : items.slice(0, SHOWN)).map((one) => ({ what: one.itemId, words: one.name })),
  ];
  return (
    <Stack>
      <Text strong>{name}: what was done?</Text>
      {offered.map(({ what, words }) => (
        <FormControlLabel
          key={what}
          control={
            <Checkbox
              checked={done.some((one) => same(one, { instrumentId, what }))}
              onChange={() => onToggle({ instrumentId, what })}
            />
          }
          label={words}
        />
      ))}
      {!all && items.length > SHOWN && (
        <FormControlLabel control={<Checkbox checked={false} onChange={() => setAll(true)} />} label="Something else" />
      )}
    </Stack>
  );
}

/** An instrument is back from the bench: since when, what was done there, and what it cost. */
export function StaySheet({ playerId, stay, currency, today, event, onClose }: StaySheetProps) {
  const [back, setBack] = useState<LocalDate | null>(stay.until < today ? stay.until : today);
  const [done, setDone] = useState<readonly Done[]>([]);
  const [cost, setCost] = useState({ cost: '', currency: currency ?? MOST_COMMON });
  const toggle = (one: Done) =>
    setDone((before) =>
      before.some((other) => same(one, other)) ? before.filter((other) => !same(one, other)) : [...before, one],
    );
  const instrumentIds = stay.instruments.map(({ instrumentId }) => instrumentId);
  const keep = () => {
    const work = stay.instruments.flatMap(({ instrumentId, items, works }) => {
      const isDone = (what: Done['what']) => done.some((one) => same(one, { instrumentId, what }));
      const itemIds = items.map(({ itemId }) => itemId).filter(isDone);
      const workIds = works.map((one) => one.work).filter(isDone);
      if (itemIds.length + workIds.length === 0) return [];
      return [{ instrumentId, itemIds, ...(workIds.length === 0 ? {} : { works: workIds }) }];
    });
    const content = {
      playerId,
      what: 'bench' as const,
      on: stay.on,
      until: back,
      minutes: null,
      name: stay.name,
      instrumentIds,
      stay: { done: work, cost: typedMoney(cost.cost, cost.currency) },
    };
    event.log(content, {
      said: 'It is back, and its care counts from there.',
      corrects: stay.key,
      onLogged: onClose,
    });
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="stay-title">
      <DialogTitle id="stay-title" variant="h1">
        Back from the bench
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <DateField label="It came back on" value={back} onChange={setBack} latest={today} />
          {stay.instruments.map((instrument) => (
            <Work key={instrument.instrumentId} instrument={instrument} done={done} onToggle={toggle} />
          ))}
          <CostField label="What it cost" {...cost} isKnown={currency !== null} onChange={setCost} />
          <SheetEnd
            problem={event.problem}
            disabled={event.busy || back === null || back < stay.on || !isCostRight(cost.cost, cost.currency)}
            onKeep={keep}
            onClose={onClose}
          >
            It is back
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
