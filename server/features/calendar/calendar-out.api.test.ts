import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { addDays } from '#core/time/local-date.ts';
import { sittingsView } from '#contract/sittings.ts';
import { furnished } from '#server/testing/furnished.ts';
import { aKey, TODAY } from '#server/testing/test-server.ts';

const { server, today, post, takeBack } = furnished();

/** The events of a calendar as an independent parser reads them. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
const file = async () => {
  const { text } = await server().api().get(`/api/calendar.ics?playerId=ada&today=${TODAY}`).expect(200);
  return read(text);
};
const concert = { playerId: 'ada', what: 'concert', on: addDays(today, 9), until: null, minutes: 80 };
const gala = { ...concert, name: 'Gala', instrumentIds: ['clarinet'] };

describe('the calendar as a file', () => {
  test('holds the sittings with their steps, and what is on', async () => {
    await post('/api/events', gala).expect(201);
    const { body } = await server().api().get(`/api/sittings?playerId=ada&today=${TODAY}`).expect(200);
    const { sittings } = sittingsView.validateSync(body, { strict: true });
    const events = await file();
    const care = events.filter(({ summary }) => summary.startsWith('Care'));
    expect(care.map(({ uid, startDate }) => [uid, startDate.toString()])).toEqual(
      sittings.map(({ uid, on }) => [`${uid}@ulu`, on]),
    );
    expect(care[0]?.description).toMatch(/^(Clarinet|Trumpet): [^\n]+\. [A-Z][^\n]+\./);
    expect(events.map(({ summary }) => summary)).toContain('Gala');
    await server().api().get(`/api/calendar.ics?playerId=nobody&today=${TODAY}`).expect(404);
  });

  test('counts the changes of an event under one name, and cancels what was taken back', async () => {
    const key = aKey();
    await post('/api/events', { ...gala, key }).expect(201);
    const gathered = async () =>
      (await file())
        .filter(({ summary }) => summary === 'Gala')
        .map(({ uid, sequence, startDate, component }) => [
          uid,
          sequence,
          startDate.toString(),
          component.getFirstPropertyValue('status'),
        ]);
    expect(await gathered()).toEqual([[`${key}@ulu`, 0, addDays(today, 9), 'CONFIRMED']]);
    expect(await gathered()).toEqual([[`${key}@ulu`, 0, addDays(today, 9), 'CONFIRMED']]);
    await post('/api/events', { ...gala, on: addDays(today, 10), corrects: key }).expect(201);
    expect(await gathered()).toEqual([[`${key}@ulu`, 1, addDays(today, 10), 'CONFIRMED']]);
    await takeBack(key);
    expect(await gathered()).toEqual([[`${key}@ulu`, 2, addDays(today, 10), 'CANCELLED']]);
  });
});

describe('the address of a calendar', () => {
  const renew = async () => {
    const { body } = await server().api().post('/api/calendar/feed').send({ playerId: 'ada' }).expect(200);
    return body.path as string;
  };

  test('is none at first, then holds the same weeks as the file, and the old one is empty once it is renewed', async () => {
    await server().api().get('/api/calendar/feed?playerId=ada').expect(200, { path: null });
    const path = await renew();
    await server().api().get('/api/calendar/feed?playerId=ada').expect(200, { path });
    const answer = await server().api().get(path).expect(200);
    expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
    expect(read(answer.text).map(({ uid }) => uid)).toEqual((await file()).map(({ uid }) => uid));
    const next = await renew();
    expect(next).not.toBe(path);
    await server().api().get(path).expect(404);
    await server().api().get(next).expect(200);
    await server().api().post('/api/calendar/feed').send({ playerId: 'nobody' }).expect(404);
  });

  test('is ended when that is wanted, and nothing is found there any more', async () => {
    const path = await renew();
    await server().api().post('/api/calendar/feed/end').send({ playerId: 'ada' }).expect(200, { path: null });
    await server().api().get(path).expect(404);
    await server().api().get('/api/calendar/feed?playerId=ada').expect(200, { path: null });
    await server().api().post('/api/calendar/feed/end').send({ playerId: 'ada' }).expect(200);
    await server().api().post('/api/calendar/feed/end').send({ playerId: 'nobody' }).expect(404);
  });

  test('says in no bytes that nothing has changed, and anew once something has', async () => {
    const path = await renew();
    const { headers } = await server().api().get(path).expect(200);
    const tag = headers.etag ?? '';
    expect(tag).not.toBe('');
    const again = await server().api().get(path).set('If-None-Match', tag);
    expect([again.status, again.text]).toEqual([304, '']);
    await post('/api/events', gala).expect(201);
    expect((await server().api().get(path).set('If-None-Match', tag)).status).toBe(200);
  });

  test('holds what came in from elsewhere, and alarms, as it says itself', async () => {
    const lines = ['BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'UID:band', 'SUMMARY:Band practice'];
    const text = [
      ...lines,
      `DTSTART;VALUE=DATE:${addDays(today, 4).replaceAll('-', '')}`,
      'END:VEVENT',
      'END:VCALENDAR',
    ];
    const choices = [{ uid: 'band', what: 'rehearsal', instrumentIds: ['clarinet'] }];
    const sent = { playerId: 'ada', zone: 'UTC', fileName: 'band.ics', text: text.join('\r\n') };
    await post('/api/calendar/imports', { ...sent, choices, dropped: [] }).expect(201);
    const path = await renew();
    const at = async (params: string) => read((await server().api().get(`${path}${params}`).expect(200)).text);
    const names = (all: Awaited<ReturnType<typeof at>>) => all.map(({ summary }) => summary);
    expect(names(await at(''))).not.toContain('Band practice');
    expect(names(await at('?imported=yes'))).toContain('Band practice');
    const alarms = (all: Awaited<ReturnType<typeof at>>) =>
      all.flatMap(({ component }) => component.getAllSubcomponents('valarm')).length;
    expect(alarms(await at(''))).toBeGreaterThan(0);
    expect(alarms(await at('?alarms=no'))).toBe(0);
    await server().api().get(`${path}?alarms=perhaps`).expect(400);
  });

  test('stands at the time the player has said, on the weekdays they have', async () => {
    const minutes = [20, 20, 20, 20, 20, 60, 60];
    await post('/api/sittings/times', { playerId: 'ada', minutes, startsAt: minutes.map(() => 1125) }).expect(201);
    const care = (await file()).filter(({ summary }) => summary.startsWith('Care'));
    expect(care.length).toBeGreaterThan(0);
    for (const { startDate } of care) expect(startDate.toString()).toMatch(/T18:45:00$/);
    const { body } = await server().api().get(`/api/sittings?playerId=ada&today=${TODAY}`).expect(200);
    expect(sittingsView.validateSync(body, { strict: true }).sittings[0]?.atMinute).toBe(1125);
    await post('/api/sittings/times', { playerId: 'ada', minutes, startsAt: [1440] }).expect(400);
  });

  test('is not to be guessed: whoever tries is told nothing, and whoever has it is not shut out for it', async () => {
    const path = await renew();
    const wrong = (at: number) =>
      server()
        .api()
        .get(`/api/calendar/subscribed/${String(at).padStart(32, 'a')}.ics`);
    const answers = [];
    for (let at = 0; at < 30; at++) answers.push(await wrong(at));
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([404]));
    expect(answers.map(({ text }) => text).join()).not.toContain('ada');
    await server().api().get(path).expect(200);
    // 24 bytes by lot.
    expect(path).toMatch(/\/[\w-]{32}\.ics$/);
  });

  test.each(['', 'x.ics', '%00.ics', `${'a'.repeat(32)}`, `..%2f..%2f${'a'.repeat(26)}.ics`])(
    'what is none is nothing: %j',
    async (what) => {
      await server().api().get(`/api/calendar/subscribed/${what}`).expect(404);
    },
  );
});
