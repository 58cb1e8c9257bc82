/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { RecordEntryView } from '#contract/record.ts';
import { CorrectEntry } from '#web/features/record/compartments/CorrectEntry.tsx';
import { loggedAs, pretendServer, renderWriting } from '#web/testing/pretend-server.tsx';

afterEach(cleanup);

const ENTRY = { on: '2026-11-24', atMinute: null, words: 'Something', correctable: true, corrected: false };
const play = { instrumentId: 'clarinet', playerId: 'ada', endedOn: '2026-11-24', endedAtMinute: 1000, minutes: 45 };
const event = { playerId: 'ada', what: 'concert', on: '2026-12-20', until: null, minutes: 80, instrumentIds: ['cl'] };
const PLACE = {
  ...{ id: 'cl', name: 'Clarinet', kind: 'clarinet', kindName: 'Clarinet', playerId: 'ada', gauge: null, calling: 0 },
  ...{
    awaitsPackUp: false,
    isCasedDamp: false,
    openRunKey: null,
    lastPlayedOn: null,
    awayUntil: null,
    goesToday: false,
    faults: 'none',
    hasReeds: true,
  },
};

test.each([
  ['play', { ...play, roomCelsius: null }, 'Save the correction', '/api/plays'],
  ['air-reading', { playerId: 'ada', celsius: 21, humidityPercent: 38 }, 'Save the correction', '/api/air/readings'],
  ['event', { ...event, name: 'Gala', stay: null, origin: null }, 'Keep it so', '/api/events'],
])('a wrong %s opens its form with what was said, and is put right under its key', async (kind, said, keep, path) => {
  const { asked } = pretendServer((one) =>
    one.method === 'GET' ? { status: 200, body: [PLACE] } : loggedAs({ ...one, body: { ...one.body, ...said } }),
  );
  const entry = { ...ENTRY, key: 'wrong-one', kind, said } as unknown as RecordEntryView;
  renderWriting(<CorrectEntry entry={entry} onClose={() => undefined} />);
  fireEvent.click(await screen.findByRole('button', { name: keep }));
  await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
  const sent = asked.find((one) => one.method === 'POST');
  const { origin: _origin, ...content } = said as { readonly origin?: null };
  expect(sent).toMatchObject({ path, body: { ...content, corrects: 'wrong-one' } });
});

test('a kind without a form opens nothing', () => {
  const entry = { ...ENTRY, key: 'one', kind: 'sign', said: null } as unknown as RecordEntryView;
  const { container } = renderWriting(<CorrectEntry entry={entry} onClose={() => undefined} />);
  expect(container.textContent).toBe('');
});
