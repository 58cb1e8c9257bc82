import type { EventKind } from '#core/calendar/event.ts';

type DemoEvent = {
  readonly playerId: string;
  readonly what: EventKind;
  readonly name: string;
  /** Days from today to the first and the last of it. */
  readonly daysAhead: number;
  readonly untilAhead?: number;
  readonly minutes: number | null;
  readonly instrumentIds: readonly string[];
};

const ALL_OF_MARIT = ['marit-clarinet', 'marit-alto', 'marit-piccolo'];

/** What is to come: concerts, an audition, a tour, a break, and one horn at the bench now. All of it is invented. */
export const DEMO_EVENTS: readonly DemoEvent[] = [
  {
    playerId: 'marit',
    what: 'concert',
    name: 'First night',
    daysAhead: 9,
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
