import type { EventKind } from '#core/calendar/event.ts';

type DemoEvent = {
  readonly playerId: string;
  readonly what: EventKind;
  readonly name: string;
  /** Days from today to the first and the last of it. */
  readonly daysAhead: number;
  readonly untilAhead?: number;
  /** The minute of the day at which it begins, where that is known. */
  readonly atMinute?: number;
  readonly minutes: number | null;
  /** Every so many weeks, until so many days from today. */
  readonly repeats?: { readonly weeks: number; readonly untilAhead: number };
  readonly instrumentIds: readonly string[];
};

const ALL_OF_MARIT = ['marit-clarinet', 'marit-alto', 'marit-piccolo'];

/** Half past seven in the evening. */
const CURTAIN = 1170;
/** Evenings the theatre plays, Monday first: four shows a week, Wednesday to Saturday. */
const SHOW_EVENINGS = [false, false, true, true, true, true, false] as const;
/** The runs of the season: days from today to the first and the last of each. */
const RUNS = [
  { name: 'Low Water, evening show', from: 1, to: 8 },
  { name: 'Low Water, evening show', from: 10, to: 11 },
  { name: 'The Lamplighter, evening show', from: 19, to: 22 },
  { name: 'The Lamplighter, evening show', from: 24, to: 26 },
] as const;

/**
 * The shows of the season that is on, each on its evening.
 *
 * @param weekdayIn the weekday so many days from today, Monday is 0
 */
export const demoShows = (weekdayIn: (daysAhead: number) => number): DemoEvent[] =>
  RUNS.flatMap(({ name, from, to }) =>
    Array.from({ length: to - from + 1 }, (_, index) => from + index)
      .filter((daysAhead) => SHOW_EVENINGS[weekdayIn(daysAhead)])
      .map((daysAhead) => ({
        playerId: 'marit',
        what: 'concert',
        name,
        daysAhead,
        atMinute: CURTAIN,
        minutes: 60,
        instrumentIds: ALL_OF_MARIT,
      })),
  );

/** What is to come: concerts, an audition, a tour, a break, and one horn at the bench now. All of it is invented. */
export const DEMO_EVENTS: readonly DemoEvent[] = [
  {
    playerId: 'marit',
    what: 'concert',
    name: 'First night',
    daysAhead: 9,
    atMinute: CURTAIN,
    minutes: 90,
    instrumentIds: ['marit-clarinet', 'marit-alto'],
  },
  {
    playerId: 'marit',
    what: 'concert',
    name: 'Winter gala',
    daysAhead: 23,
    minutes: 80,
    instrumentIds: ['marit-clarinet'],
  },
  {
    playerId: 'marit',
    what: 'travel',
    name: 'Tour of the north',
    daysAhead: 12,
    untilAhead: 18,
    minutes: null,
    instrumentIds: ALL_OF_MARIT,
  },
  {
    playerId: 'marit',
    what: 'holiday',
    name: 'Winter break',
    daysAhead: 27,
    untilAhead: 36,
    minutes: null,
    instrumentIds: ALL_OF_MARIT,
  },
  {
    playerId: 'lucan',
    what: 'rehearsal',
    name: 'Tideway Wind Band',
    daysAhead: 2,
    atMinute: 1140,
    minutes: 60,
    repeats: { weeks: 1, untilAhead: 39 },
    instrumentIds: ['lucan-trombone'],
  },
  {
    playerId: 'teodor',
    what: 'concert',
    name: 'Chapel concert',
    daysAhead: 16,
    minutes: 70,
    instrumentIds: ['teodor-oboe'],
  },
  {
    playerId: 'asha',
    what: 'audition',
    name: 'Audition for the town band',
    daysAhead: 20,
    minutes: 30,
    instrumentIds: ['asha-horn'],
  },
  {
    playerId: 'lucan',
    what: 'bench',
    name: 'Dents taken out',
    daysAhead: 0,
    untilAhead: 8,
    minutes: null,
    instrumentIds: ['lucan-tuba'],
  },
];
