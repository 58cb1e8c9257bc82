import { aFact, ADA, DAY, json } from '#server/testing/old-fact.ts';

const REED_PLAY = { of_minutes: '30', high: `'some'`, shares: json([{ reedId: 'box/1', minutes: 30 }]) };
const EVENT = { what: `'concert'`, on_day: `'2026-02-14'`, instrument_ids: json(['cl']) };

/**
 * Rows and children in every table, written in plain SQL as the version of a migration knew them. A table that is written
 * in none of them gets a row made of its columns, so that a later migration is tried on it, too.
 */
export const ROWS_AFTER: Record<string, string> = {
  '0000_first': `
    insert into players values ('ada', 'Ada', 'grown-up', '["key-oil"]', '2026-01-01T00:00:00.000Z');
    insert into instruments values ('cl', 'Clarinet', 'clarinet', '{"body":"wood","tenons":"cork","pads":"skin","mouthpiece":"hard-rubber"}', 'ada', '2024-01-01', 1, null, '2026-01-01T00:00:00.000Z');
    insert into instruments values ('gone', 'Old one', 'trumpet', '{"finish":"lacquer","brassMouthpiece":"plated"}', 'ada', '2024-01-01', 0, '2026-01-20', '2026-01-01T00:00:00.001Z');
    insert into plays (key, instrument_id, player_id, ended_on, ended_at_minute, minutes, logged_at) values ('p1', 'cl', 'ada', '2026-01-02', 600, 30, '2026-01-02T00:00:00.000Z'), ('p2', 'cl', 'ada', '2026-01-03', null, 45, '2026-01-03T00:00:00.000Z');
    insert into runs values ('r1', 'ada', 'after', null, 20, '{"steps":[],"leftOut":[],"activeMinutes":0,"elapsedMinutes":0,"because":[]}', '2026-01-02', 600, '2026-01-02T10:00:00.000Z');
    insert into runs values ('r2', 'ada', 'after', 4, 20, '{"steps":[],"leftOut":[],"activeMinutes":0,"elapsedMinutes":0,"because":[]}', '2026-01-03', 610, '2026-01-03T10:00:00.000Z');
    insert into run_instruments values ('r1', 0, 'cl', 'p1', 30), ('r2', 0, 'cl', null, 45), ('r2', 1, 'gone', null, 20);
    insert into signs_noticed values ('s1', 'cl', 'keyed/rod-dust', 'lower-joint', '2026-01-02', 605, null, '2026-01-02T10:05:00.000Z');
    insert into wetness_resets values ('x1', 'cl', '2026-01-02T10:05:00.000Z');
    insert into care_decisions values ('d1', 'cl', 'keyed/rod-dust', 'declined', '2026-01-02', null, '2026-01-02T10:05:00.000Z');
    insert into run_events (key, run_key, kind, at) values ('e1', 'r1', 'finished', '2026-01-02T10:05:00.000Z');
    insert into run_events (key, run_key, kind, step_key, count, answer, at) values ('e2', 'r1', 'last-pass', 'cl:clarinet/swab-upper', 3, 'dry', '2026-01-02T10:06:00.000Z');
    insert into run_events (key, run_key, kind, at) values ('e3', 'r2', 'finished', '2026-01-03T10:05:00.000Z');
    insert into care_done values ('c1', 'cl', 'clarinet/swab-bore', '2026-01-02', 605, 'player', 'e1', '2026-01-02T10:05:00.000Z'), ('c2', 'cl', 'clarinet/swab-bore', '2026-01-03', 615, 'player', 'e3', '2026-01-03T10:05:00.000Z'), ('c3', 'cl', 'wind/bench-service', '2026-01-01', 1439, 'bench', null, '2026-01-03T10:06:00.000Z');
    insert into withdrawals values ('w1', 'p1', '2026-01-03T00:00:00.000Z'), ('w2', 'e3', '2026-01-04T00:00:00.000Z');`,
  '0001_judgement': `
    insert into school_sets values ('t1', 'cl', 'My way', '2026-01-02', '2026-01-02T10:05:00.000Z');
    insert into school_choices values ('h1', 'cl', 'swab-wash', 'monthly', '2026-01-02', null, '2026-01-02T10:05:00.000Z'), ('t1/key-oil', 'cl', 'key-oil', '6-months', '2026-01-02', 't1', '2026-01-02T10:05:00.000Z');
    insert into conditions values ('n1', 'ill', null, 'ada', '2026-01-02', null, null, null, null, '2026-01-02T10:05:00.000Z');
    insert into condition_ends values ('m1', 'n1', '2026-01-05', '2026-01-05T10:05:00.000Z');`,
  // Columns only: the rows above have them now.
  '0004_plan_and_log': aFact({
    ...{ key: 'last1', kind: 'last-done', table: 'last_done', about: ['cl'] },
    body: { instrument_id: `'cl'`, items: json([{ itemId: 'swab/wash', doneOn: '2026-01-01', by: 'player' }]) },
  }),
  '0005_ways_minders_evenings': [
    aFact({ key: 'way1', kind: 'run-way', table: 'run_ways', body: { ...ADA, way: `'guided'` } }),
    aFact({ key: 'minder1', kind: 'minder', table: 'minders', body: { ...ADA, minder_id: 'null' } }),
    aFact({
      ...{ key: 'evening1', kind: 'evening', table: 'evenings', about: ['cl'] },
      body: {
        ...ADA,
        ended_on: `'${DAY}'`,
        ended_at_minute: '600',
        room_celsius: '19.5',
        plays: json([{ key: 'p3', instrumentId: 'cl', minutes: 30 }]),
      },
    }),
    aFact({
      ...{ key: 'p3', kind: 'play', table: 'plays', about: ['cl'], belongsTo: 'evening1' },
      body: {
        ...ADA,
        instrument_id: `'cl'`,
        ended_on: `'${DAY}'`,
        ended_at_minute: '600',
        minutes: '30',
        room_celsius: '19.5',
      },
    }),
  ].join(';\n'),
  '0006_reeds': [
    aFact({
      ...{ key: 'box', kind: 'reed-box', table: 'reed_boxes' },
      body: {
        ...ADA,
        kind: `'clarinet'`,
        name: `'Fennel'`,
        cut: 'null',
        strength: `'2½'`,
        material: `'cane'`,
        break_in: `'week'`,
        place: `'pocket'`,
        cost_minor: '2890',
        currency: `'EUR'`,
        came_on: `'2026-01-20'`,
        before: json([0, null, 170]),
      },
    }),
    aFact({
      key: 'rp1',
      kind: 'reed-play',
      table: 'reed_plays',
      belongsTo: 'p3',
      body: { ...ADA, play_key: `'p3'`, ...REED_PLAY },
    }),
    aFact({
      ...{ key: 'rs1', kind: 'reed-said', table: 'reed_sayings' },
      body: {
        ...ADA,
        reed_id: `'box/1'`,
        what: `'graded'`,
        feel: `'right'`,
        good_for: `'concert'`,
        signs: json(['soft']),
        cause: 'null',
      },
    }),
  ].join(';\n'),
  '0007_events': aFact({
    key: 'ev1',
    kind: 'event',
    table: 'events',
    about: ['ada', 'cl'],
    body: { ...ADA, ...EVENT, minutes: '80', name: `'Gala'` },
  }),
  '0008_reed_sessions': aFact({
    key: 'session1',
    kind: 'reed-session',
    table: 'reed_sessions',
    body: { ...ADA, pins: json([{ reedId: 'box/1', on: '2026-02-03', minutes: 20 }]) },
  }),
  '0009_air': aFact({
    key: 'air1',
    kind: 'air-reading',
    table: 'air_readings',
    body: { ...ADA, celsius: '21.5', humidity_percent: '38' },
  }),
  '0010_events_of_days': aFact({
    key: 'ev2',
    kind: 'event',
    table: 'events',
    about: ['ada', 'cl'],
    body: { ...ADA, ...EVENT, what: `'holiday'`, until_day: `'2026-02-20'`, minutes: 'null', name: `'Away'` },
  }),
  '0011_sitting_times': aFact({
    key: 'time1',
    kind: 'sitting-time',
    table: 'sitting_times',
    body: { ...ADA, minutes: json([0, 30, 0, 30, 0, 60, 0]) },
  }),
  '0012_calendar_whole': [
    aFact({
      key: 'terms1',
      kind: 'bench-terms',
      table: 'bench_terms',
      body: {
        ...ADA,
        terms: json({ name: 'Quayside Winds', phone: null, workingDays: 5, shippingDays: 0, settlingDays: 2 }),
      },
    }),
    aFact({
      key: 'im1',
      kind: 'calendar-import',
      table: 'calendar_imports',
      about: ['ada', 'cl'],
      body: { ...ADA, calendar: `'Band'`, events: json([{ key: 'k1', on: '2026-02-05', name: 'Probe', minutes: 90 }]) },
    }),
    aFact({
      key: 'move1',
      kind: 'sitting-move',
      table: 'sitting_moves',
      body: {
        ...ADA,
        pins: json([{ instrumentId: 'cl', itemId: 'swab/wash', dueOn: '2026-02-04', on: '2026-02-06' }]),
      },
    }),
    aFact({
      key: 'ev3',
      kind: 'event',
      table: 'events',
      about: ['ada', 'cl'],
      body: {
        ...ADA,
        ...EVENT,
        what: `'bench'`,
        minutes: 'null',
        name: 'null',
        stay: json({
          done: [{ instrumentId: 'cl', itemIds: ['wind/bench-service'] }],
          cost: { minor: 12050, currency: 'EUR' },
        }),
        origin: 'null',
      },
    }),
    `insert into feeds values ('ada', 'abcdefghijklmnopqrstuvwxyz012345')`,
    `insert into told_calendars values ('ada', '[]')`,
  ].join(';\n'),
  '0019_what_is_wrong': [
    aFact({
      key: 'wrong1',
      kind: 'interview',
      table: 'interviews',
      about: ['cl'],
      body: { instrument_id: `'cl'`, noticed: json(['single-reed/squeak']) },
    }),
    aFact({
      key: 'wrong2',
      kind: 'interview-answer',
      table: 'interview_answers',
      body: { interview_key: `'wrong1'`, sign: `'single-reed/rocks'`, answer: `'yes'`, noticed: '0' },
    }),
    aFact({
      key: 'wrong3',
      kind: 'interview-outcome',
      table: 'interview_outcomes',
      body: { interview_key: `'wrong1'`, cause: `'single-reed/back-bulged'`, helped: '1' },
    }),
    aFact({
      key: 'wrong4',
      kind: 'mishap',
      table: 'mishaps',
      about: ['cl'],
      body: { instrument_id: `'cl'`, mishap: `'knocked'`, part: `'mouthpiece'`, happened_on: `'2026-02-03'` },
    }),
    aFact({
      key: 'wrong5',
      kind: 'fault-end',
      table: 'fault_ends',
      body: { fault_key: `'wrong1'`, by: `'bench'` },
    }),
  ].join(';\n'),
  '0021_events_at_a_time': aFact({
    key: 'ev4',
    kind: 'event',
    table: 'events',
    about: ['ada', 'cl'],
    body: {
      ...ADA,
      ...EVENT,
      at_minute: '1170',
      minutes_of: json([{ instrumentId: 'cl', minutes: 45 }]),
      repeats: json({ weeks: 2, until: '2026-03-31' }),
    },
  }),
  '0020_when_one_begins': aFact({
    key: 'time2',
    kind: 'sitting-time',
    table: 'sitting_times',
    body: {
      ...ADA,
      minutes: json([0, 30, 0, 30, 0, 60, 0]),
      starts_at: json([null, 1140, null, 1140, null, 600, null]),
    },
  }),
  '0022_parts_and_the_way': [
    aFact({
      ...{ key: 'p4', kind: 'play', table: 'plays', about: ['cl'] },
      body: {
        ...ADA,
        instrument_id: `'cl'`,
        ended_on: `'${DAY}'`,
        ended_at_minute: '700',
        minutes: '20',
        room_celsius: 'null',
        alone: `'mouthpiece-and-barrel'`,
      },
    }),
    aFact({
      key: 'parts1',
      kind: 'condition',
      table: 'conditions',
      about: ['cl'],
      body: {
        condition: `'in-parts'`,
        instrument_id: `'cl'`,
        player_id: 'null',
        said_on: `'cl'`,
        begins_on: `'${DAY}'`,
        ends_on: 'null',
        part: 'null',
        alone: `'mouthpiece-and-barrel'`,
        celsius: 'null',
        humidity_percent: 'null',
      },
    }),
  ].join(';\n'),
  '0026_inspections': aFact({
    ...{ key: 'look1', kind: 'inspection', table: 'inspections', about: ['cl'] },
    body: { instrument_id: `'cl'`, read_on: `'${DAY}'`, by: `'player'`, readings: json([]) },
  }),
  '0027_costs': aFact({
    ...{ key: 'bill1', kind: 'bill', table: 'bills', about: ['cl'] },
    body: {
      instrument_id: `'cl'`,
      sort: `'bill'`,
      works: json(['service']),
      what: 'null',
      cost_minor: '12000',
      currency: `'EUR'`,
      said_on: `'${DAY}'`,
    },
  }),
  '0030_handovers': aFact({
    ...{ key: 'packed1', kind: 'handover', table: 'handovers', about: ['cl'] },
    body: { instrument_id: `'cl'`, list: `'out'`, lines: json([{ line: 'latched', answer: 'so' }]) },
  }),
  '0029_doublereeds': [
    aFact({
      ...{ key: 'laid1', kind: 'reed-examination', table: 'reed_examinations' },
      body: { ...ADA, reed_id: `'box/1'`, way: `'whole'`, noticed: json([]), soaked_minutes: '5', at_ms: '1000' },
    }),
    aFact({
      ...{ key: 'crow1', kind: 'reed-crow', table: 'reed_crows', about: [], belongsTo: 'laid1' },
      body: { examination_key: `'laid1'`, heard: `'both'`, cents: '-20', '"from"': `'crow'`, at_ms: '2000' },
    }),
    aFact({
      ...{ key: 'step1', kind: 'reed-step', table: 'reed_steps', about: [], belongsTo: 'laid1' },
      body: { ...ADA, examination_key: `'laid1'`, step: `'clip'`, tenths: '1', at_ms: '3000' },
    }),
  ].join(';\n'),
};
