import type { RecordView } from '#contract/record.ts';
import { describe, expect, test } from '@jest/globals';
import { addDays } from '#core/time/local-date.ts';
import { calendarPreview } from '#contract/calendar-in.ts';
import { eventList } from '#contract/calendar.ts';
import { furnished } from '#server/testing/furnished.ts';
import { aKey, NOW, playBody, TODAY } from '#server/testing/test-server.ts';

const { server, today, takeBack } = furnished();

const compact = (days: number): string => addDays(today, days).replaceAll('-', '');
type Entry = { readonly uid: string; readonly days: number; readonly name: string; readonly more?: readonly string[] };
const calendar = (...entries: Entry[]): string =>
  [
    'BEGIN:VCALENDAR',
    'X-WR-CALNAME:Tideway Wind Band',
    ...entries.flatMap(({ uid, days, name, more = [] }) => [
      'BEGIN:VEVENT',
      `UID:${uid}`,
      `DTSTART:${compact(days)}T190000`,
      'DURATION:PT2H',
      `SUMMARY:${name}`,
      ...more,
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ].join('\r\n');
const GALA = { uid: 'gala', days: 9, name: 'Winter gala' };
const BAND = { uid: 'band', days: 3, name: 'Band practice', more: ['RRULE:FREQ=WEEKLY;COUNT=4'] };
const DENTIST = { uid: 'dentist', days: 5, name: 'Dentist' };

const sent = (text: string) => ({ playerId: 'ada', zone: 'Europe/Berlin', fileName: 'band.ics', text, now: NOW });
const preview = async (text: string) => {
  const { body } = await server().api().post('/api/calendar/preview').send(sent(text)).expect(200);
  return calendarPreview.validateSync(body, { strict: true });
};
const choice = (uid: string, what: string) => ({ uid, what, instrumentIds: ['clarinet'] });
const BOTH = [choice('gala', 'concert'), choice('band', 'rehearsal')];
const take = (text: string, over: object = {}) =>
  server()
    .api()
    .post('/api/calendar/imports')
    .send({ key: aKey(), ...sent(text), choices: BOTH, dropped: [], ...over });
const events = async () => {
  const { body } = await server().api().get(`/api/events?playerId=ada&today=${TODAY}`).expect(200);
  return eventList.validateSync(body, { strict: true });
};
const days = async () => (await events()).map(({ on, what, minutes }) => [on, what, minutes]);

describe('a calendar file', () => {
  test('is looked at before anything is written: what is whose guess, what is new', async () => {
    const { calendar: name, series, isKnown, notes } = await preview(calendar(GALA, BAND, DENTIST));
    expect([name, isKnown, notes]).toEqual(['Tideway Wind Band', false, []]);
    expect(series.map(({ uid, what, taken, count, state }) => [uid, what, taken, count, state])).toEqual([
      ['band', 'rehearsal', true, 4, 'new'],
      ['dentist', 'rehearsal', false, 1, 'new'],
      ['gala', 'concert', true, 1, 'new'],
    ]);
    expect(await events()).toEqual([]);
  });

  test('what is played in it is on the instrument usually played that weekday, a holiday on all of them', async () => {
    const weekBefore = (ahead: number) => addDays(today, ahead - 7);
    // The trumpet on the weekday of the band, the clarinet on that of the gala.
    await server()
      .api()
      .post('/api/plays')
      .send(playBody({ instrumentId: 'trumpet', endedOn: weekBefore(3), minutes: 90 }))
      .expect(201);
    await server()
      .api()
      .post('/api/plays')
      .send(playBody({ endedOn: weekBefore(2), minutes: 60 }))
      .expect(201);
    const OFF = { uid: 'off', days: 20, name: 'Half-term holiday' };
    const { series } = await preview(calendar({ ...GALA, days: 9 }, { ...BAND, days: 3 }, OFF));
    expect(series.map(({ uid, instrumentIds }) => [uid, instrumentIds])).toEqual([
      ['band', ['trumpet']],
      ['gala', ['clarinet']],
      ['off', ['clarinet', 'trumpet']],
    ]);
  });

  test('is taken in as it was chosen, moves what it should, and is taken back whole', async () => {
    const key = aKey();
    await take(calendar(GALA, BAND, DENTIST), { key }).expect(201);
    await take(calendar(GALA, BAND, DENTIST), { key }).expect(200);
    const band = [3, 10, 17, 24].map((ahead) => [addDays(today, ahead), 'rehearsal', 120]);
    expect(await days()).toEqual([band[0], [addDays(today, 9), 'concert', 120], ...band.slice(1)]);
    const minutes = (of: string) =>
      server()
        .services()
        .readings.of(of)
        ?.situation(today)
        .plays.forecast.minutesOn(Math.round(Date.parse(addDays(today, 9)) / 86_400_000));
    expect([minutes('clarinet'), minutes('trumpet')]).toEqual([120, 0]);
    await takeBack(key);
    expect(await events()).toEqual([]);
  });

  test('imported again changes and does not double; what has vanished is listed, and stays unless it is dropped', async () => {
    await take(calendar(GALA, BAND)).expect(201);
    const keys = (await events()).map(({ key }) => key);
    await take(calendar(GALA, BAND)).expect(201);
    expect((await events()).map(({ key }) => key)).toEqual(keys);
    const moved = calendar({ ...GALA, days: 11 }, DENTIST);
    const { series, vanished, isKnown } = await preview(moved);
    expect(isKnown).toBe(true);
    expect(series.map(({ uid, state, taken }) => [uid, state, taken])).toEqual([
      ['dentist', 'new', false],
      ['gala', 'changed', true],
    ]);
    expect(vanished.map(({ on }) => on)).toEqual([3, 10, 17, 24].map((ahead) => addDays(today, ahead)));
    await take(moved, { choices: [choice('gala', 'concert')], dropped: [vanished[0]?.key] }).expect(201);
    expect((await days()).map(([on]) => on)).toEqual([10, 11, 17, 24].map((ahead) => addDays(today, ahead)));
    expect((await preview(calendar(GALA, BAND))).series.find(({ uid }) => uid === 'band')?.taken).toBe(true);
  });

  test('at another hour, under another name and cancelled in part it is the same calendar, and nothing is doubled', async () => {
    await take(calendar(GALA, BAND)).expect(201);
    const keys = (await events()).map(({ key }) => key).toSorted();
    const exported = calendar(GALA, { ...BAND, more: [`RRULE:FREQ=WEEKLY;COUNT=4`, `EXDATE:${compact(10)}T203000`] })
      .replace('X-WR-CALNAME:Tideway Wind Band', 'X-WR-CALNAME;VALUE=TEXT:Tideway (new)')
      .replace(`DTSTART:${compact(3)}T190000`, `DTSTART:${compact(3)}T203000`);
    const seen = await preview(exported);
    expect([seen.calendar, seen.calledNow, seen.isKnown]).toEqual(['Tideway Wind Band', 'Tideway (new)', true]);
    expect(seen.vanished.map(({ on, isCancelled }) => [on, isCancelled])).toEqual([[addDays(today, 10), true]]);
    await take(exported, { dropped: seen.vanished.map(({ key }) => key) }).expect(201);
    const after = (await events()).map(({ key }) => key);
    expect(after).toHaveLength(keys.length - 1);
    expect(after.every((key) => keys.includes(key))).toBe(true);
    // A message that only cancels says nothing of the rest.
    const cancels = calendar({ ...GALA, more: ['STATUS:CANCELLED'] }).replace(
      'BEGIN:VEVENT',
      'METHOD:CANCEL\r\nBEGIN:VEVENT',
    );
    const gone = await preview(cancels);
    expect([gone.empty, gone.vanished.map(({ on }) => on)]).toEqual([
      'It says of dates that they are cancelled, and holds no others.',
      [addDays(today, 9)],
    ]);
    await take(cancels, { choices: [], dropped: gone.vanished.map(({ key }) => key) }).expect(201);
    expect((await events()).map(({ what }) => what)).toEqual(['rehearsal', 'rehearsal', 'rehearsal']);
  });

  test('with nothing to take in it says what it holds', async () => {
    const empty = async (text: string) => (await preview(text)).empty;
    expect(await empty(calendar())).toBe('It holds no dates.');
    expect(await empty(calendar({ uid: 'x@ulu', days: 3, name: 'Care' }))).toMatch(/came from Ulu/);
    expect(await empty(calendar(GALA))).toBeNull();
  });

  test('sent again after another was imported is answered as before, and nothing else under its key is', async () => {
    const [first, key] = [calendar(GALA, BAND), aKey()];
    await take(first, { key }).expect(201);
    await take(calendar({ ...GALA, days: 12 })).expect(201);
    const after = await days();
    const again = await take(first, { key });
    expect([again.status, again.body.key]).toEqual([200, key]);
    expect(await days()).toEqual(after);
    for (const other of [{ choices: [choice('gala', 'concert')] }, { dropped: [aKey()] }, { fileName: 'else.ics' }])
      expect((await take(first, { key, ...other })).status).toBe(409);
    await takeBack(key);
    expect((await take(first, { key })).status).toBe(409);
  });

  test('imported every week for years keeps each date once, and each day is found as it was', async () => {
    const weeks = 30;
    for (let week = 0; week < weeks; week++)
      await take(calendar(GALA, { ...BAND, more: [`RRULE:FREQ=WEEKLY;COUNT=${4 + week}`] })).expect(201);
    const kept = (sql: string) => server().client().prepare(sql).pluck().get() as number;
    expect(kept('select count(*) from imported_dates')).toBe(1 + 4 + weeks - 1);
    expect(kept('select max(length(dates)) from calendar_imports')).toBeLessThan(200);
    expect(await days()).toHaveLength(1 + 4 + weeks - 1);
    expect(server().breaches()).toEqual([]);
    server().restart();
    expect(await days()).toHaveLength(1 + 4 + weeks - 1);
    server().client().exec('begin; delete from imported_dates where id = 2');
    expect(server().breaches().join()).toContain('repeats its fact wrongly');
    server().client().exec('rollback');
  });

  test('what the player has put right of it stands until the calendar changes it, and what they leave out stays away', async () => {
    await take(calendar(GALA, BAND)).expect(201);
    const all = await events();
    const gala = all.find(({ what }) => what === 'concert');
    const [band] = all;
    const content = ({
      key: _key,
      stay: _stay,
      calendar: _calendar,
      asImported: _as,
      series: _series,
      ...event
    }: (typeof all)[number]) => event;
    if (!gala || !band) throw new Error('nothing was imported');
    const log = (body: object) =>
      server()
        .api()
        .post('/api/events')
        .send({ key: aKey(), now: NOW, ...body });
    await log({ ...content(gala), minutes: 45, insteadOf: gala.key }).expect(201);
    await log({ ...content(band), insteadOf: band.key, dropped: true }).expect(201);
    await log({ ...content(band), insteadOf: aKey() }).expect(404);
    const { body: told } = await server().api().get('/api/record/clarinet?limit=9').expect(200);
    const said = (told as RecordView).entries.filter(({ kind }) => kind === 'event').map(({ words }) => words);
    const isLeftOut = (words: string): boolean => words.includes('Left out of the calendar.');
    expect(said.filter(isLeftOut)).toHaveLength(1);
    expect(said.find((words) => words.includes('45 min'))).not.toContain('Left out');
    const standing = async () => (await events()).map(({ on, minutes, asImported }) => [on, minutes, asImported]);
    const after = [
      [addDays(today, 9), 45, false],
      [addDays(today, 10), 120, true],
      [addDays(today, 17), 120, true],
      [addDays(today, 24), 120, true],
    ];
    expect(await standing()).toEqual(after);
    await take(calendar(GALA, BAND)).expect(201);
    expect(await standing()).toEqual(after);
    await take(calendar({ ...GALA, days: 12 }, BAND)).expect(201);
    expect((await standing())[1]).toEqual([addDays(today, 12), 120, true]);
  });

  test('what Ulu has given out itself is not taken in again', async () => {
    await take(calendar(GALA)).expect(201);
    const { text } = await server().api().get(`/api/calendar.ics?playerId=ada&today=${TODAY}`).expect(200);
    expect((await preview(text)).series).toEqual([]);
  });

  test.each<[string, string, object, number, string]>([
    ['no calendar', 'hello', {}, 400, 'ics-no-calendar'],
    ['too large', 'x'.repeat(5_000_001), {}, 400, 'ics-too-large'],
    ['of nobody', calendar(GALA), { playerId: 'nobody' }, 404, 'no-such-player'],
    ['nothing of it', calendar(GALA), { choices: [] }, 400, 'ics-nothing-taken'],
    [
      'on another’s instrument',
      calendar(GALA),
      { choices: [{ ...choice('gala', 'concert'), instrumentIds: ['tuba'] }] },
      400,
      'event-on-anothers',
    ],
    [
      'too many dates',
      calendar(...Array.from({ length: 4 }, (_, at) => ({ ...BAND, uid: `b${at}`, more: ['RRULE:FREQ=DAILY'] }))),
      { choices: [0, 1, 2, 3].map((at) => choice(`b${at}`, 'rehearsal')) },
      400,
      'ics-too-many',
    ],
  ])('%s is refused with the reason, and nothing is written', async (_, text, over, status, code) => {
    const answer = await take(text, over);
    expect([answer.status, answer.body.errors?.[0]?.code]).toEqual([status, code]);
    expect(await events()).toEqual([]);
  });

  test('fifty megabytes are refused at the door', async () => {
    const answer = await take('x'.repeat(50_000_000));
    expect([answer.status, answer.body.code]).toEqual([413, 'too-large']);
    expect(answer.body.detail).toMatch(/larger than \d MB\.$/);
  });
});
