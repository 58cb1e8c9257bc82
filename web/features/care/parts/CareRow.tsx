import { mdiDotsVertical } from '@mdi/js';
import { Box, Button, IconButton } from '@mui/material';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { duration } from '#core/explain/format.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { CareClockView } from '#contract/care.ts';
import { FORMAT } from '#web/clock/format.ts';
import { Actions } from '#web/ui/Actions.tsx';
import { HANDS_WORDS } from '#web/ui/hands-words.ts';
import { TubeGauge } from '#web/ui/TubeGauge.tsx';
import { useWhyFold } from '#web/ui/WhyFold.tsx';
import { PlainRow } from '#web/ui/PlainList.tsx';
import { Icon } from '#web/ui/Icon.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

const [EntryMenu, fetchMenu] = lazyPart(async () => (await import('#web/ui/EntryMenu.tsx')).EntryMenu);

type Sign = CareClockView['signs'][number];

/** What a row can set going; the page hands it in. */
export type RowActions = {
  readonly doNow: (itemIds: readonly CareClockView['itemId'][]) => void;
  readonly ask: (clock: CareClockView) => void;
  readonly instrumentId: string;
  readonly seen: (clock: CareClockView, sign: Sign) => void;
  readonly decide: (clock: CareClockView, kind: 'postponed' | 'declined' | 'resumed', until?: LocalDate | null) => void;
  readonly busy: boolean;
};
type CareRowProps = { readonly clock: CareClockView; readonly today: LocalDate; readonly actions: RowActions };

const LATER_DAYS = [3, 7, 30] as const;

/** The rarer choices: let it wait, leave it, take it up again. */
function MoreMenu({ clock, today, actions }: CareRowProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  useEffect(() => void fetchMenu(), []);
  const entries = clock.declined
    ? [{ words: 'Do it again from now on', act: () => actions.decide(clock, 'resumed') }]
    : [
        ...LATER_DAYS.map((days) => {
          const until = addDays(today, days);
          return {
            words: `Let it wait until ${FORMAT.weekdayDate(until)}`,
            act: () => actions.decide(clock, 'postponed', until),
          };
        }),
        { words: 'I don’t do this', act: () => actions.decide(clock, 'declined') },
      ];
  return (
    <>
      <IconButton
        color="inherit"
        aria-label={`More: ${clock.name}`}
        aria-haspopup="menu"
        disabled={actions.busy}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <Icon path={mdiDotsVertical} />
      </IconButton>
      {anchor && <EntryMenu anchor={anchor} entries={entries} onClose={() => setAnchor(null)} />}
    </>
  );
}

/** Nobody has noticed it yet, and somebody may. */
const isUnseen = ({ signs, gauge }: CareClockView): boolean => signs.length > 0 && gauge.state === 'as-seen';

/** One of its signs is there; of several it is asked which. */
function SeeIt({ clock, actions }: Omit<CareRowProps, 'today'>) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { name, signs } = clock;
  const [only, ...others] = signs;
  return (
    <>
      <Button
        variant="outlined"
        color="inherit"
        disabled={actions.busy}
        aria-label={`I see it: ${name}`}
        onClick={({ currentTarget }) => {
          if (only && others.length === 0) actions.seen(clock, only);
          else setAnchor(currentTarget);
        }}
      >
        I see it
      </Button>
      {anchor && (
        <EntryMenu
          anchor={anchor}
          entries={signs.map((one) => ({ words: one.words, act: () => actions.seen(clock, one) }))}
          onClose={() => setAnchor(null)}
        />
      )}
    </>
  );
}

function Buttons({ clock, actions }: Omit<CareRowProps, 'today'>) {
  const { name, gauge, hands, minutes, noticedSign } = clock;
  const unseen = isUnseen(clock);
  const atHome = hands !== 'bench' && gauge.state !== 'waiting';
  const shown = duration(Math.max(1, minutes));
  return (
    <>
      {unseen && <SeeIt clock={clock} actions={actions} />}
      {atHome && !unseen && (
        <Button
          variant="outlined"
          color="inherit"
          disabled={actions.busy}
          onClick={() => actions.doNow([clock.itemId])}
          aria-label={`Do it · about ${shown}: ${name}`}
        >
          Do it · about {shown}
        </Button>
      )}
      {!unseen && (
        <Button
          color="inherit"
          disabled={actions.busy}
          onClick={() => actions.ask(clock)}
          aria-label={`${atHome ? 'Done already' : 'The bench did it'}: ${name}`}
        >
          {atHome ? 'Done already' : 'The bench did it'}
        </Button>
      )}
      {noticedSign !== null && (
        <Button
          color="inherit"
          aria-label={`Ask what it is: ${name}`}
          {...{ component: Link, to: `/faults/${actions.instrumentId}?sign=${noticedSign}` }}
        >
          Ask what it is
        </Button>
      )}
    </>
  );
}

/** One care item: how it stands, why, and what can be done about it. */
export function CareRow({ clock, today, actions }: CareRowProps) {
  const { name, gauge, hands, atBench, because, partName, postponedUntil } = clock;
  const stoppered = hands === 'bench' || gauge.state === 'waiting';
  const handsWords = atBench ? null : HANDS_WORDS[hands];
  const standing = postponedUntil ? `waits until ${FORMAT.weekdayDate(postponedUntil)}` : gauge.words;
  const why = useWhyFold({ lines: because, about: `${name}, ${standing}` });
  return (
    <PlainRow columns="auto minmax(0, 1fr) 44px">
      <TubeGauge gauge={gauge} atBench={stoppered} />
      <Space>
        <Text strong>{name}</Text>
        <Text variant="body2" ink={gauge.state === 'overdue' ? 'stop.ink' : 'text.secondary'}>
          {standing} · {partName.toLowerCase()}
          {handsWords && ` · ${handsWords}`} {why.button}
        </Text>
      </Space>
      {/* Under its title, which is never squeezed by what can be done about it. */}
      <Box sx={{ gridColumn: '2 / -1', gridRow: 2, mt: 0.5 }}>
        <Actions>
          <Buttons clock={clock} actions={actions} />
        </Actions>
      </Box>
      <Box sx={{ gridColumn: 3, gridRow: 1 }}>
        {!isUnseen(clock) && <MoreMenu clock={clock} today={today} actions={actions} />}
      </Box>
      {why.fold}
    </PlainRow>
  );
}
