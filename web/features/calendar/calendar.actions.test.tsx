/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { localDate } from '#core/time/local-date.ts';
import type { EventView } from '#contract/calendar.ts';
import type { PlacedItemView, SittingsView } from '#contract/sittings.ts';
import { useSittingMoves } from '#web/features/calendar/use-sitting-moves.ts';
import { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { pretendServer, refusal, renderWriting } from '#web/testing/pretend-server.tsx';

afterEach(cleanup);

const GALA: EventView = {
  key: '00000000-0000-4000-8000-000000000001',
  playerId: 'ada' as PlayerId,
  what: 'concert',
  on: localDate('2026-12-04'),
  until: null,
  minutes: 90,
  name: 'Winter gala',
  instrumentIds: ['clarinet' as InstrumentId],
  atMinute: null,
  minutesOf: [],
  series: null,
  stay: null,
  calendar: null,
  asImported: false,
};
function Deleting() {
  const { remove } = useEvent();
  return <button onClick={() => remove(GALA)}>Delete it</button>;
}
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

function Moving() {
  const { move } = useSittingMoves({ today: GALA.on, sittings: [] } as unknown as SittingsView, GALA.playerId);
  const thing = (itemId: string) =>
    ({ instrumentId: 'clarinet', itemId, dueOn: GALA.on, name: itemId, words: '' }) as unknown as PlacedItemView;
  return <button onClick={() => move([thing('swab/wash'), thing('keyed/key-oil')], GALA.on)}>Move it</button>;
}

test('a sitting is moved whole: every thing of it, to the day it was put on', async () => {
  const { asked } = pretendServer();
  renderWriting(<Moving />);
  press('Move it');
  await screen.findByText(/It is set for/);
  expect(asked[0]).toMatchObject({
    path: '/api/sittings/moves',
    body: {
      playerId: 'ada',
      on: GALA.on,
      times: [
        { instrumentId: 'clarinet', itemId: 'swab/wash', dueOn: GALA.on },
        { instrumentId: 'clarinet', itemId: 'keyed/key-oil', dueOn: GALA.on },
      ],
    },
  });
});

test('what was deleted is entered again by Undo, as it was and under a key of its own', async () => {
  const { asked } = pretendServer();
  renderWriting(<Deleting />);
  press('Delete it');
  await screen.findByText('The concert is deleted.');
  expect(asked[0]).toMatchObject({ path: '/api/withdrawals', body: { targetKey: GALA.key } });
  press('Undo');
  await screen.findByText('The concert is back.');
  const { key, now: _now, msAgo: _ago, ...content } = asked[1]?.body ?? {};
  const { key: old, calendar: _calendar, asImported: _asImported, series: _series, ...said } = GALA;
  expect([asked[1]?.path, content]).toEqual(['/api/events', { ...said, repeats: null }]);
  expect(key).not.toBe(old);
});

test('where it cannot be entered again it says so', async () => {
  const { answers } = pretendServer();
  renderWriting(<Deleting />);
  press('Delete it');
  await screen.findByText('The concert is deleted.');
  answers(() => refusal('no'));
  press('Undo');
  await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('It says no'));
});
