import { expect, test } from '@jest/globals';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { ToldEntry } from '#core/calendar/told-entries.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { localDate } from '#core/time/local-date.ts';
import { keptIfItCan } from '#server/features/calendar/sitting-weeks.ts';
import { readSittings, writtenSittings, type StoredSittings } from '#server/features/calendar/stored-sittings.ts';
import { readToldEntries, writtenToldEntries } from '#server/features/calendar/told-calendar.ts';

const PLAN = {
  question: 'abc',
  days: [
    { id: 'clarinet:swab/wash', days: [3, 10] },
    { id: 'clarinet:keyed/key-oil', days: [] },
  ],
  gap: 0.01,
  sittings: [
    {
      uid: 'u1',
      state: 'planned' as const,
      on: localDate('2026-11-30'),
      minutes: 12,
      things: [
        {
          instrumentId: 'clarinet' as InstrumentId,
          itemId: 'swab/wash' as CareItemId,
          dueOn: localDate('2026-12-01'),
          lastDone: null,
        },
      ],
    },
  ],
};
const STORED: StoredSittings = { ...PLAN, earlier: [{ ...PLAN, question: 'before' }] };
/** As each version wrote it: whoever changes the shape leaves these as they are. */
const SECOND =
  '{"version":2,"question":"abc","days":[{"id":"clarinet:swab/wash","days":[3,10]}],"gap":null,"sittings":[{"uid":"u1","state":"done","on":"2026-11-30","minutes":12,"things":[]}],"earlier":[]}';
const FIRST =
  '{"version":1,"question":"abc","days":[{"id":"clarinet:swab/wash","day":3}],"gap":null,"ranOut":false,"sittings":[{"uid":"u1","state":"done","on":"2026-11-30","minutes":12,"things":[]}],"earlier":[]}';

test('what was shown is read as it was written, of each version', () => {
  expect(readSittings(writtenSittings(STORED))).toEqual(STORED);
  expect(readSittings(SECOND)).toMatchObject({ question: 'abc', sittings: [{ uid: 'u1', state: 'done' }] });
  // Its plan is made anew; calendar programs know its sittings by their names.
  expect(readSittings(FIRST)).toMatchObject({ question: '', days: [], sittings: [{ uid: 'u1', state: 'done' }] });
});

test.each([
  '',
  '{}',
  'null',
  '[]',
  '{"version":2}',
  '{"version":3}',
  SECOND.replace('"gap":null,', ''),
  SECOND.replace('2026-11-30', '2026-11-31'),
  FIRST.replace('2026-11-30', '2026-11-31'),
])('what is no plan is planned anew: %s', (written) => {
  expect(readSittings(written)).toBeUndefined();
});

test('a file that cannot be written keeps nobody from being shown the weeks; any other fault is one', () => {
  const failing = (code: string) => () => {
    throw Object.assign(new Error('cannot'), { code });
  };
  expect(() => keptIfItCan(failing('SQLITE_FULL'))).not.toThrow();
  expect(() => keptIfItCan(failing('ERR_OTHER'))).toThrow('cannot');
});

test('what was told is read as it was written, and nothing where it cannot be', () => {
  const entry: ToldEntry = {
    uid: 'u1@ulu',
    on: localDate('2026-11-30'),
    until: localDate('2026-11-30'),
    summary: 'Care',
    description: '',
    reminds: true,
    sequence: 4,
    state: 'cancelled',
    hour: { atMinute: 1140, minutes: 20 },
    isImported: true,
    changedMs: 7,
  };
  expect(readToldEntries(writtenToldEntries([entry]))).toEqual([entry]);
  // As the first version wrote it.
  const { hour: _hour, isImported: _imported, changedMs: _changed, ...first } = entry;
  expect(readToldEntries(JSON.stringify({ version: 1, entries: [first] }))).toEqual([
    { ...first, hour: null, isImported: false, changedMs: 0 },
  ]);
  for (const written of ['', '{}', '{"version":7,"entries":[]}']) expect(readToldEntries(written)).toEqual([]);
});
