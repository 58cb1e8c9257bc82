import { DEMO_SAVED, demoBills, demoInspections } from '#demo/bench.demo.ts';
import { demoFaults } from '#demo/faults.demo.ts';
import type { TableEvent } from '#core/doublereeds/examination.ts';
import { wallMinute } from '#core/plays/play.ts';
import { instantOfMs, type Instant } from '#core/time/instant.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';
import { DEMO_MINDERS } from '#demo/players.demo.ts';
import { DEMO_EVENTS, demoShows } from '#demo/events.demo.ts';
import type { DemoRun, DemoWorld } from '#demo/told.ts';
import { demoWorld } from '#demo/world.demo.ts';
import { writtenPlan } from '#server/features/packup/stored-plan.ts';
import type { NewFact } from '#server/record/record-writer.repository.ts';
import type { Services } from '#server/services.ts';

const MS_PER_DAY = 86_400_000;
const MIDDAY = 720;
const MS_PER_MINUTE = 60_000;
const LAST_MINUTE = 1439;

type Told = Omit<NewFact, 'atMinute' | 'corrects' | 'belongsTo'> & Partial<NewFact>;
const told = (fact: Told): NewFact => ({ atMinute: null, corrects: null, belongsTo: null, ...fact });

const startOf = (on: LocalDate, minute: number): Instant =>
  instantOfMs(dayNumber(on) * MS_PER_DAY + minute * MS_PER_MINUTE);

function runFacts(run: DemoRun): NewFact[] {
  const {
    key,
    log,
    done,
    seen,
    instrumentId,
    playKey,
    alone,
    thirst,
    playerId,
    kind,
    minutesAtHand,
    startedOn: on,
  } = run;
  const asked = { playKey, itemIds: [] };
  const share = { instrumentId, playKey, playedMinutes: null, roomCelsius: run.roomCelsius, alone, thirst, asked };
  const body = { playerId, kind, minutesAtHand, plan: writtenPlan(run.plan), shares: [share] };
  const finish = log.at(-1);
  const endsAt = Math.min(LAST_MINUTE, run.startedAtMinute + Math.ceil(run.plan.elapsedMinutes));
  return [
    told({ key, kind: 'run', on, atMinute: run.startedAtMinute, loggedAt: run.startedAt, body }),
    ...log.map(({ key: eventKey, event }) =>
      told({ key: eventKey, kind: 'run-event', on, loggedAt: event.at, belongsTo: key, body: { runKey: key, event } }),
    ),
    ...(finish === undefined ? [] : done).map(({ instrumentId: of, itemId }) =>
      told({
        key: `${finish?.key ?? ''}/${of}/${itemId}`,
        kind: 'care',
        on,
        atMinute: endsAt,
        loggedAt: run.startedAt,
        belongsTo: finish?.key ?? null,
        body: { instrumentId: of, itemId, by: 'player', wallMinute: wallMinute(on, endsAt) },
      }),
    ),
    ...seen.map(({ instrumentId: of, itemId, sign, part }) =>
      told({
        key: `${finish?.key ?? ''}/${of}/${itemId}/sign`,
        kind: 'sign',
        on,
        atMinute: endsAt,
        loggedAt: run.startedAt,
        belongsTo: finish?.key ?? null,
        body: { instrumentId: of, itemId, part, ...(sign && { sign }) },
      }),
    ),
  ];
}

/** People and instruments, each with the facts that come with them. */
function arrivals({ players, instruments }: DemoWorld, on: LocalDate, loggedAt: Instant): NewFact[] {
  return [
    ...players.flatMap(({ id, ...profile }) => [
      told({ key: `player/${id}`, kind: 'player', on, loggedAt, body: { id } }),
      told({
        key: `profile/${id}`,
        kind: 'profile',
        on,
        loggedAt,
        belongsTo: `player/${id}`,
        body: { playerId: id, ...profile },
      }),
    ]),
    ...DEMO_MINDERS.map((minded) =>
      told({ key: `minder/${minded.playerId}`, kind: 'minder', on, loggedAt, body: minded }),
    ),
    ...instruments.flatMap(({ build, leftOn: _leftOn, ...arrival }) => [
      told({ key: `instrument/${arrival.id}`, kind: 'instrument', on, loggedAt, body: arrival }),
      told({
        key: `build/${arrival.id}`,
        kind: 'build',
        on,
        loggedAt,
        belongsTo: `instrument/${arrival.id}`,
        body: { instrumentId: arrival.id, build },
      }),
    ]),
  ];
}

/** What was noticed, chosen and entered, and care done outside runs. */
function entries({ signs, choices, conditions, care }: DemoWorld, loggedAt: Instant): NewFact[] {
  return [
    ...signs.map(({ key, noticedOn: on, ...body }) =>
      told({ key, kind: 'sign', on, atMinute: MIDDAY, loggedAt, body }),
    ),
    ...choices.map(({ key, chosenOn: on, ...body }) => told({ key, kind: 'method', on, loggedAt, body })),
    ...conditions.map(({ key, instrumentId, condition, beginsOn, part = null, alone = null, air = null }) =>
      told({
        key,
        kind: 'condition',
        on: beginsOn,
        loggedAt,
        body: {
          condition,
          instrumentId,
          playerId: null,
          saidOn: instrumentId,
          beginsOn,
          endsOn: null,
          part,
          alone,
          air,
        },
      }),
    ),
    ...care.map(({ key, instrumentId, itemId, doneOn: on, by }) =>
      told({
        key,
        kind: 'care',
        on,
        loggedAt,
        body: { instrumentId, itemId, by, wallMinute: wallMinute(on, MIDDAY) },
      }),
    ),
  ];
}

/** Boxes, the reeds of each play and what was said of them. */
function reedFacts({ reeds, plays }: DemoWorld, loggedAt: Instant): NewFact[] {
  const standing = new Set(plays.map(({ key }) => key));
  return [
    ...reeds.boxes.map(({ key, ...body }) => told({ key, kind: 'reed-box', on: body.cameOn, loggedAt, body })),
    ...reeds.plays
      .filter(({ play }) => standing.has(play.key))
      .map(({ key, play, high, shares }) =>
        told({
          key,
          kind: 'reed-play',
          on: play.endedOn,
          atMinute: play.endedAtMinute,
          loggedAt,
          belongsTo: play.key,
          body: { playerId: play.playerId, playKey: play.key, ofMinutes: play.minutes, high, shares },
        }),
      ),
    ...reeds.said.map(({ key, on, reedId, ...saying }) =>
      told({
        key,
        kind: 'reed-said',
        on,
        atMinute: LAST_MINUTE,
        loggedAt,
        body: {
          playerId: reeds.boxes.find((box) => reedId.startsWith(`${box.key}/`))?.playerId,
          reedId,
          feel: null,
          goodFor: null,
          signs: [],
          cause: null,
          ...saying,
        },
      }),
    ),
  ];
}

/** What is written of an event at the table, and under which kind. */
function eventAtTable(event: TableEvent, playerId: string, examinationKey: string) {
  const { atMs } = event;
  const said = { examinationKey, atMs };
  switch (event.what) {
    case 'soak':
      return { kind: 'reed-look', body: { ...said, look: 'soak', answer: event.said } };
    case 'look':
      return { kind: 'reed-look', body: { ...said, look: event.look, answer: event.answer } };
    case 'crow':
      return { kind: 'reed-crow', body: { ...said, heard: event.heard, cents: event.cents, from: event.from } };
    case 'step':
      return { kind: 'reed-step', body: { ...said, playerId, step: event.step, tenths: event.tenths } };
  }
}

/** Reeds that were looked at, crowed and clipped. */
const tableFacts = ({ tables }: DemoWorld, loggedAt: Instant): NewFact[] =>
  tables.flatMap(({ key, on, told: all, ...body }) => [
    told({ key, kind: 'reed-examination', on, atMinute: MIDDAY, loggedAt, body }),
    ...all.map(({ key: saidKey, event }) =>
      told({
        key: saidKey,
        on,
        atMinute: MIDDAY,
        loggedAt,
        belongsTo: key,
        ...eventAtTable(event, body.playerId, key),
      }),
    ),
  ]);

/** What is wrong, was wrong and happened. */
function faultFacts(today: LocalDate, loggedAt: Instant): NewFact[] {
  const { mishaps, interviews } = demoFaults();
  const onDay = (daysAgo: number) => ({ on: addDays(today, -daysAgo), atMinute: daysAgo === 0 ? 0 : MIDDAY, loggedAt });
  return [
    ...mishaps.map(({ key, instrumentId, mishap, daysAgo }) => {
      const when = onDay(daysAgo);
      return told({ key, kind: 'mishap', ...when, body: { instrumentId, mishap, part: null, happenedOn: when.on } });
    }),
    ...interviews.flatMap(({ key, instrumentId, noticed, answers, helped, daysAgo }) => {
      const under = { ...onDay(daysAgo), belongsTo: key };
      return [
        told({ key, kind: 'interview', ...onDay(daysAgo), body: { instrumentId, noticed } }),
        ...answers.map((said) =>
          told({
            key: said.key,
            kind: 'interview-answer',
            ...under,
            body: { interviewKey: key, sign: said.sign, answer: said.answer, noticed: false },
          }),
        ),
        ...(helped === null
          ? []
          : [
              told({
                key: helped.key,
                kind: 'interview-outcome',
                ...under,
                body: { interviewKey: key, cause: helped.cause, helped: true },
              }),
            ]),
      ];
    }),
  ];
}

/** What was read when instruments were looked over. */
const inspectionFacts = (today: LocalDate, loggedAt: Instant): NewFact[] =>
  demoInspections().map(({ key, instrumentId, daysAgo, by, readings }) => {
    const on = addDays(today, -daysAgo);
    const body = { instrumentId, readOn: on, by, readings };
    return told({ key, kind: 'inspection', on, atMinute: MIDDAY, loggedAt, body });
  });

/** What instruments cost, and what was put aside. */
function costFacts(today: LocalDate, loggedAt: Instant): NewFact[] {
  const currency = 'EUR';
  const { playerId, minor, daysAgo: savedAgo } = DEMO_SAVED;
  return [
    ...demoBills().map(({ key, instrumentId, daysAgo, sort, works, what, minor: cost }) => {
      const on = addDays(today, -daysAgo);
      const body = { instrumentId, sort, works, what, cost: { minor: cost, currency }, saidOn: on };
      return told({ key, kind: 'bill', on, loggedAt, body });
    }),
    told({
      key: '00000000-0000-4000-a000-000000000030',
      kind: 'saved',
      on: addDays(today, -savedAgo),
      atMinute: MIDDAY,
      loggedAt,
      body: { playerId, amount: { minor, currency } },
    }),
  ];
}

/** What is to come. */
const eventFacts = (today: LocalDate, loggedAt: Instant): NewFact[] =>
  [...DEMO_EVENTS, ...demoShows((days) => weekdayOfDay(dayNumber(today) + days))].map(
    ({ daysAhead, untilAhead, atMinute = null, repeats, ...event }, index) =>
      told({
        key: `00000000-0000-4000-a000-0000000000${String(10 + index)}`,
        kind: 'event',
        on: today,
        loggedAt,
        body: {
          ...event,
          on: addDays(today, daysAhead),
          until: untilAhead === undefined ? null : addDays(today, untilAhead),
          atMinute,
          minutesOf: [],
          repeats: repeats ? { weeks: repeats.weeks, until: addDays(today, repeats.untilAhead) } : null,
          stay: null,
          origin: null,
        },
      }),
  );

/** Writes the demo world into an empty record, all of it or nothing. */
export function loadDemo({ record, atOnce }: Services, today: LocalDate): void {
  const world = demoWorld(today);
  const loggedAt = startOf(today, 0);
  atOnce(() =>
    record.append([
      ...arrivals(world, today, loggedAt),
      ...world.plays.map(({ key, ...body }) =>
        told({ key, kind: 'play', on: body.endedOn, atMinute: body.endedAtMinute, loggedAt, body }),
      ),
      ...world.runs.flatMap(runFacts),
      ...entries(world, loggedAt),
      ...reedFacts(world, loggedAt),
      ...tableFacts(world, loggedAt),
      ...eventFacts(today, loggedAt),
      ...faultFacts(today, loggedAt),
      ...inspectionFacts(today, loggedAt),
      ...costFacts(today, loggedAt),
    ]),
  );
}
