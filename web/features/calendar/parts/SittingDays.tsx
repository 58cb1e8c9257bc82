import { Button, Typography } from '@mui/material';
import type { LocalDate } from '#core/time/local-date.ts';
import type { PlacedItemView, SittingsView } from '#contract/sittings.ts';
import { FORMAT } from '#web/clock/format.ts';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Bullets } from '#web/ui/Quiet.tsx';

export type Sitting = SittingsView['sittings'][number];
type Event = SittingsView['events'][number];

/** "Clarinet: oil the bore, wash the swab". */
export function PlacedItems({ items }: { readonly items: readonly PlacedItemView[] }) {
  const names = [...new Set(items.map(({ instrumentName }) => instrumentName))];
  return (
    <Bullets>
      {names.map((name) => (
        <Typography component="li" key={name}>
          <strong>{name}</strong>:{' '}
          {items
            .filter(({ instrumentName }) => instrumentName === name)
            .map((item) => `${item.name.toLowerCase()}${item.hands === '' ? '' : ` (${item.hands})`}`)
            .join(', ')}
        </Typography>
      ))}
    </Bullets>
  );
}

/** Why each thing lies where it lies, with the range in which it falls due. */
export const placedWhy = (items: readonly PlacedItemView[]) =>
  items.map(({ instrumentName, name, words, earliest, latest }) => ({
    rule: `${instrumentName} ${name}`,
    text: `${instrumentName}, ${name.toLowerCase()}. ${words}${
      earliest !== null && latest !== null && earliest !== latest
        ? ` It may fall due between ${FORMAT.shortDate(earliest)} and ${FORMAT.shortDate(latest)}.`
        : ''
    }`,
    mark: 'estimate' as const,
  }));

type SittingDaysProps = {
  readonly sittings: readonly Sitting[];
  readonly events: readonly Event[];
  readonly busy: boolean;
  readonly onStart: (sitting: Sitting) => void;
  readonly onMove: (sitting: Sitting) => void;
  readonly onEvent: (key: string) => void;
};

type Line = { readonly on: LocalDate; readonly sitting?: Sitting; readonly event?: Event };

/** Day by day: what is done, and what is on. */
export function SittingDays({ sittings, events, busy, onStart, onMove, onEvent }: SittingDaysProps) {
  const lines: Line[] = [
    ...events.map((event): Line => ({ on: event.on, event })),
    ...sittings.map((sitting): Line => ({ on: sitting.on, sitting })),
  ].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  if (lines.length === 0) return <Typography color="text.secondary">Nothing in these six weeks.</Typography>;
  return (
    <PlainList>
      {lines.map(({ on, sitting, event }) => (
        <PlainRow key={`${on} ${event?.key ?? 'sitting'}`}>
          <Grid columns="minmax(0, 1fr) auto" align="center">
            <Text strong>
              {FORMAT.weekdayDate(on)}
              {event && event.until !== on ? ` to ${FORMAT.weekdayDate(event.until)}` : ''}
              {': '}
              {event ? event.words : sitting?.words}
            </Text>
            {sitting && (
              <Row>
                <Button
                  color="inherit"
                  onClick={() => onMove(sitting)}
                  aria-label={`Another day: ${FORMAT.weekdayDate(on)}`}
                >
                  Another day
                </Button>
                <Button
                  color="inherit"
                  disabled={busy}
                  onClick={() => onStart(sitting)}
                  aria-label={`Do it now: ${FORMAT.weekdayDate(on)}`}
                >
                  Do it now
                </Button>
              </Row>
            )}
            {event && (
              <Button color="inherit" onClick={() => onEvent(event.key)} aria-label={`Change: ${event.words}`}>
                Change
              </Button>
            )}
          </Grid>
          {sitting && (
            <>
              <PlacedItems items={sitting.items} />
              <WhyFold lines={placedWhy(sitting.items)} about={`the sitting of ${FORMAT.weekdayDate(on)}`} />
            </>
          )}
        </PlainRow>
      ))}
    </PlainList>
  );
}
