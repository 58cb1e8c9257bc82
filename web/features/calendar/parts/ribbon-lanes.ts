import { isOnStage } from '#core/calendar/event.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { ReedDaysView } from '#contract/reed-views.ts';
import type { PlacedItemView, SittingsView } from '#contract/sittings.ts';

/** Days of the record before today. */
export const PAST_DAYS = 14;

const MARK_KINDS = [
  'audience',
  'rehearsal',
  'off',
  'away',
  'range',
  'due',
  'planned',
  'done',
  'break-in',
  'order',
] as const;
/** Something on a lane, from one day to another, both counted from today. */
export type RibbonMark = {
  readonly kind: (typeof MARK_KINDS)[number];
  readonly from: number;
  readonly to: number;
  readonly words: string;
};
export type RibbonLane = { readonly key: string; readonly name: string; readonly marks: readonly RibbonMark[] };

type EventView = SittingsView['events'][number];
type Placed = { readonly item: PlacedItemView; readonly on: LocalDate | null };

/** Cut to the days that are drawn; none where it lies outside. */
function within(mark: RibbonMark): RibbonMark[] {
  const [from, to] = [Math.max(-PAST_DAYS, mark.from), Math.min(SITTING_DAYS - 1, mark.to)];
  return from <= to ? [{ ...mark, from, to }] : [];
}

const kindOf = ({ what }: EventView): RibbonMark['kind'] =>
  isOnStage(what) ? 'audience' : what === 'rehearsal' ? 'rehearsal' : what === 'bench' ? 'away' : 'off';

function eventMarks(events: readonly EventView[], today: LocalDate): RibbonMark[] {
  return events.flatMap((event) =>
    within({
      kind: kindOf(event),
      from: daysBetween(today, event.on),
      to: daysBetween(today, event.until),
      words: event.words,
    }),
  );
}

/** Everything that is planned, each with its day. */
const placedIn = ({ sittings, left }: SittingsView): Placed[] => [
  ...sittings.flatMap(({ on, items }) => items.map((item) => ({ item, on }))),
  ...left.map((item) => ({ item, on: null })),
];

const names = (items: readonly { readonly name: string }[]): string => items.map(({ name }) => name).join(', ');

/** What was done and what is planned on one instrument, day by day; and where it is away. */
function instrumentMarks(view: SittingsView, id: InstrumentId): RibbonMark[] {
  const { past, sittings, events, today } = view;
  const days = (
    list: readonly { on: LocalDate; items: readonly PlacedItemView[] | SittingsView['past'][number]['items'] }[],
    kind: RibbonMark['kind'],
  ) =>
    list.flatMap(({ on, items }) => {
      const mine = items.filter(({ instrumentId }) => instrumentId === id);
      const day = daysBetween(today, on);
      return mine.length === 0 ? [] : within({ kind, from: day, to: day, words: names(mine) });
    });
  const stays = events.filter(({ what, instrumentIds }) => what === 'bench' && instrumentIds.includes(id));
  return [...eventMarks(stays, today), ...days(past, 'done'), ...days(sittings, 'planned')];
}

/** One thing of one instrument: when it may fall due, when it probably does, when it was done and when it is planned. */
function thingMarks(placed: readonly Placed[], view: SittingsView): RibbonMark[] {
  const { today, past } = view;
  const [first] = placed;
  const at = (kind: RibbonMark['kind'], from: LocalDate, to: LocalDate, words: string) =>
    within({ kind, from: daysBetween(today, from), to: daysBetween(today, to), words });
  const done = past
    .filter(({ items }) =>
      items.some(
        ({ instrumentId, itemId }) => instrumentId === first?.item.instrumentId && itemId === first.item.itemId,
      ),
    )
    .flatMap(({ on }) => at('done', on, on, 'done'));
  const planned = placed.flatMap(({ item, on }) => [
    ...(item.earliest !== null && item.latest !== null ? at('range', item.earliest, item.latest, 'may fall due') : []),
    ...at('due', item.dueOn, item.dueOn, 'falls due'),
    ...(on === null ? [] : at('planned', on, on, 'planned')),
  ]);
  return [...done, ...planned];
}

/** The lanes of one instrument: what is on for it, and a lane for each thing that falls due on it. */
function lanesOfOne(view: SittingsView, id: InstrumentId, reeds: readonly RibbonLane[]): RibbonLane[] {
  const mine = placedIn(view).filter(({ item }) => item.instrumentId === id);
  const items = [...new Map(mine.map(({ item }) => [item.itemId, item.name]))];
  const events = view.events.filter(({ instrumentIds }) => instrumentIds.includes(id));
  return [
    { key: 'on', name: 'What is on', marks: eventMarks(events, view.today) },
    ...items.map(([itemId, name]) => ({
      key: itemId,
      name,
      marks: thingMarks(
        mine.filter(({ item }) => item.itemId === itemId),
        view,
      ),
    })),
    ...reeds,
  ];
}

/**
 * Breaking in and ordering, each on its day. The lane is there before its days are known, and stays where there are none:
 * nothing under it may move.
 */
function reedLanes(
  { today, instruments }: SittingsView,
  reeds: ReedDaysView | undefined,
  only: InstrumentId | null,
): RibbonLane[] {
  if (!instruments.some(({ instrumentId, onReeds }) => onReeds && (only ?? instrumentId) === instrumentId)) return [];
  const { breakIn, buy } = reeds ?? { breakIn: [], buy: [] };
  const mine = (list: ReedDaysView['buy']) =>
    list.filter(({ instrumentIds }) => only === null || instrumentIds.includes(only));
  const marks = (list: ReedDaysView['buy'], kind: RibbonMark['kind']) =>
    mine(list).flatMap(({ on, words }) => {
      const day = daysBetween(today, on);
      return within({ kind, from: day, to: day, words });
    });
  return [{ key: 'reeds', name: 'Reeds', marks: [...marks(breakIn, 'break-in'), ...marks(buy, 'order')] }];
}

/**
 * The lanes under the sittings: what is on, then each instrument, then the reeds; or one instrument alone with a lane for
 * each thing that falls due on it.
 */
export function lanesOf(view: SittingsView, reeds: ReedDaysView | undefined, only: InstrumentId | null): RibbonLane[] {
  const { today, events, instruments } = view;
  const reedLane = reedLanes(view, reeds, only);
  if (only !== null) return lanesOfOne(view, only, reedLane);
  const on = events.filter(({ what }) => what !== 'bench');
  return [
    { key: 'on', name: 'What is on', marks: eventMarks(on, today) },
    ...instruments.map(({ instrumentId, name }) => ({
      key: instrumentId,
      name,
      marks: instrumentMarks(view, instrumentId),
    })),
    ...reedLane,
  ];
}

/** A sitting on the ribbon: in its only row, on its day. */
export type RibbonSitting = {
  readonly row: 0;
  readonly day: number;
  readonly uid: string;
  readonly minutes: number;
  readonly isSet: boolean;
  readonly things: number;
};

/** A sitting that has been put down elsewhere while the rest is still being planned round it. */
export type MovingSitting = { readonly uid: string; readonly day: number };

/** The sittings of the weeks, those of one instrument only where one is looked at. */
export const ribbonSittings = ({ sittings, today }: SittingsView, only: InstrumentId | null): RibbonSitting[] =>
  sittings
    .filter(({ items }) => only === null || items.some(({ instrumentId }) => instrumentId === only))
    .map(({ uid, on, minutes, items }) => ({
      row: 0,
      day: daysBetween(today, on),
      uid,
      minutes,
      isSet: items.some(({ isSet }) => isSet),
      things: items.length,
    }));
