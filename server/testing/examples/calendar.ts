import { type TriedKinds } from '#server/testing/examples/example.ts';
import { NOW, TODAY } from '#server/testing/test-server.ts';

const STAY = { what: 'bench', on: '2026-11-20', until: '2026-11-23', minutes: null };
const done = (...itemIds: string[]) => ({ done: [{ instrumentId: 'clarinet', itemIds }], cost: null });

export const CALENDAR_EXAMPLES: TriedKinds = {
  event: {
    make: () => ({
      path: '/api/events',
      body: {
        now: NOW,
        playerId: 'ada',
        what: 'concert',
        on: '2026-12-20',
        until: null,
        minutes: 80,
        minutesOf: [],
        name: null,
        instrumentIds: ['clarinet'],
      },
      otherwise: { on: '2026-12-21', minutes: 90, name: 'Matinee', instrumentIds: ['other'] },
    }),
    told: [
      [{}, '20 December 2026: a concert, 1 h 20 min.'],
      [
        { atMinute: 1170, repeats: { weeks: 2, until: '2027-01-31' } },
        '20 December 2026 at 19:30, every 2 weeks until 31 January 2027: a concert, 1 h 20 min.',
      ],
      [{ name: 'Matinee' }, 'Matinee'],
      [{ until: '2026-12-20' }, '20 December 2026: a concert, 1 h 20 min.'],
      [{ what: 'holiday', minutes: null, until: '2026-12-22' }, '20 December 2026 to 22 December 2026: a holiday.'],
      [{ ...STAY, stay: done() }, 'Done there: nothing of its care.'],
      [{ ...STAY, stay: done('wind/bench-service', 'keyed/key-oil') }, 'Done there: bench service and oil the keys.'],
      [{ ...STAY, stay: { ...done(), cost: { minor: 12_050, currency: 'EUR' } } }, 'It cost €120.50.'],
    ],
  },
  'sitting-time': {
    make: () => ({
      path: '/api/sittings/times',
      body: {
        now: NOW,
        playerId: 'ada',
        minutes: [0, 20, 0, 20, 0, 45, 0],
        startsAt: [null, 1140, null, 1140, null, 600, null],
      },
      otherwise: { playerId: 'kit', minutes: [0, 0, 0, 0, 0, 0, 0] },
    }),
    told: [
      [{}, 'Time for sittings: 1 h 25 min a week.'],
      [{ minutes: [0, 0, 0, 0, 0, 0, 0] }, 'No time for sittings.'],
    ],
  },
  'sitting-move': {
    make: () => ({
      path: '/api/sittings/moves',
      body: {
        now: NOW,
        playerId: 'ada',
        times: [{ instrumentId: 'trumpet', itemId: 'wind/bench-service', dueOn: TODAY }],
        on: '2026-12-01',
      },
      // Another player has no such instrument: what is sent otherwise is refused before it is looked at.
      otherwise: { times: [{ instrumentId: 'trumpet', itemId: 'wind/bench-service', dueOn: '2026-12-02' }], on: null },
    }),
    told: [
      [{}, 'A sitting is set for Tue 1 Dec: Trumpet, bench service.'],
      [{ on: null }, 'A sitting is left to the plan again: Trumpet, bench service.'],
      [
        {
          times: ['clarinet', 'trumpet'].map((instrumentId) => ({
            instrumentId,
            itemId: 'wind/bench-service',
            dueOn: TODAY,
          })),
        },
        'A sitting is set for Tue 1 Dec: Clarinet, bench service; Trumpet, bench service.',
      ],
    ],
  },
  'calendar-import': {
    make: () => ({
      path: '/api/calendar/imports',
      body: {
        now: NOW,
        playerId: 'ada',
        zone: 'UTC',
        fileName: 'band.ics',
        text: 'BEGIN:VCALENDAR\nBEGIN:VEVENT\nUID:gala\nSUMMARY:Gala\nDTSTART;VALUE=DATE:20261220\nEND:VEVENT\nEND:VCALENDAR',
        choices: [{ uid: 'gala', what: 'concert', instrumentIds: ['clarinet'] }],
        dropped: [],
      },
      otherwise: { playerId: 'kit' },
    }),
    told: [[{}, 'The calendar “band.ics” was imported: 1 date.']],
  },
  'bench-terms': {
    make: () => ({
      path: '/api/bench/terms',
      body: {
        now: NOW,
        playerId: 'ada',
        name: 'Quayside Winds',
        phone: null,
        workingDays: 5,
        shippingDays: 1,
        settlingDays: 3,
      },
      otherwise: { playerId: 'kit', name: null, phone: '12 34', workingDays: 6, shippingDays: 0, settlingDays: 2 },
    }),
    told: [
      [{}, 'The bench: Quayside Winds, about 5 working days.'],
      [{ name: null, workingDays: 1 }, 'The bench: no name, about 1 working day.'],
    ],
  },
};
