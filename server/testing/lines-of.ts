import type Database from 'better-sqlite3';

/** What a database of before says, each row as one line; beside it where the same stands since. */
const SAME: Readonly<Record<string, readonly [before: string, since: string]>> = {
  players: [
    'select id, name, standing, does, added_at from players',
    'select p.id, r.name, r.standing, r.does, f.logged_at from players p join profiles r on r.player_id = p.id join facts f on f.id = p.fact_id',
  ],
  instruments: [
    'select id, name, kind, build, player_id, acquired_on, came_new, left_on, added_at from instruments',
    'select i.id, i.name, i.kind, b.build, i.player_id, i.acquired_on, i.came_new, d.left_on, f.logged_at from instruments i join builds b on b.instrument_id = i.id left join departures d on d.instrument_id = i.id join facts f on f.id = i.fact_id',
  ],
  plays: [
    'select key, instrument_id, player_id, ended_on, ended_at_minute, minutes, room_celsius, wall_minute, logged_at, not exists (select 1 from withdrawals w where w.target_key = plays.key) from plays',
    'select f.key, instrument_id, player_id, ended_on, ended_at_minute, minutes, room_celsius, wall_minute, f.logged_at, p.counts from plays p join facts f on f.id = p.fact_id and f."on" = p.ended_on and f.counts = p.counts',
  ],
  runs: [
    "select key, player_id, kind, minutes_at_hand, plan, started_on, started_at_minute, started_at, exists (select 1 from run_events e where e.run_key = runs.key and e.kind = 'finished' and not exists (select 1 from withdrawals w where w.target_key = e.key)) from runs",
    'select f.key, player_id, r.kind, minutes_at_hand, plan, f."on", f.at_minute, f.logged_at, r.finished from runs r join facts f on f.id = r.fact_id',
  ],
  shares: [
    'select run_key, position, instrument_id, play_key, played_minutes, room_celsius, thirst from run_instruments',
    'select f.key, position, instrument_id, play_key, played_minutes, room_celsius, thirst from run_shares s join facts f on f.id = s.run_id',
  ],
  events: [
    'select key, run_key, kind, step_key, reason, count, answer, at from run_events',
    'select f.key, r.key, e.kind, step_key, reason, count, answer, f.logged_at from run_events e join facts f on f.id = e.fact_id join facts r on r.id = e.run_id and r.id = f.belongs_to',
  ],
  care: [
    'select key, instrument_id, item_id, unixepoch(done_on) / 60 + done_at_minute, done_on, by, source_key, logged_at, not exists (select 1 from withdrawals w where w.target_key in (care_done.key, care_done.source_key)) from care_done',
    'select f.key, instrument_id, item_id, wall_minute, f."on", by, o.key, f.logged_at, c.counts from care_done c join facts f on f.id = c.fact_id and f.counts = c.counts left join facts o on o.id = f.belongs_to',
  ],
  signs: [
    'select key, instrument_id, item_id, part, noticed_on, noticed_at_minute, source_key, logged_at from signs_noticed',
    'select f.key, instrument_id, item_id, part, f."on", f.at_minute, o.key, f.logged_at from signs_noticed s join facts f on f.id = s.fact_id left join facts o on o.id = f.belongs_to',
  ],
  decisions: [
    'select key, instrument_id, item_id, kind, until, decided_on, logged_at from care_decisions',
    'select f.key, instrument_id, item_id, d.kind, until, f."on", f.logged_at from care_decisions d join facts f on f.id = d.fact_id',
  ],
  resets: [
    'select key, instrument_id, at from wetness_resets',
    'select f.key, instrument_id, f.logged_at from wetness_resets r join facts f on f.id = r.fact_id',
  ],
  sets: [
    'select key, instrument_id, name, taken_on, logged_at from school_sets',
    'select f.key, instrument_id, name, f."on", f.logged_at from method_sets s join facts f on f.id = s.fact_id',
  ],
  choices: [
    'select key, instrument_id, school, choice, source_key, chosen_on, logged_at from school_choices',
    'select f.key, instrument_id, method, choice, o.key, f."on", f.logged_at from method_choices c join facts f on f.id = c.fact_id left join facts o on o.id = f.belongs_to',
  ],
  conditions: [
    'select key, condition, instrument_id, player_id, begins_on, ends_on, part, celsius, humidity_percent, logged_at from conditions',
    'select f.key, condition, instrument_id, player_id, begins_on, ends_on, part, celsius, humidity_percent, f.logged_at from conditions c join facts f on f.id = c.fact_id',
  ],
  ends: [
    'select key, condition_key, ends_on, logged_at from condition_ends',
    'select f.key, condition_key, e.ends_on, f.logged_at from condition_ends e join facts f on f.id = e.fact_id join facts o on o.id = f.belongs_to and o.key = e.condition_key',
  ],
  withdrawals: [
    'select key, target_key, at from withdrawals',
    'select f.key, target_key, f.logged_at from withdrawals w join facts f on f.id = w.fact_id',
  ],
};
export const linesOf = (client: Database.Database, which: 0 | 1): Record<string, string[]> =>
  Object.fromEntries(
    Object.entries(SAME).map(([what, queries]) => [
      what,
      client
        .prepare(queries[which])
        .raw()
        .all()
        .map((row) => JSON.stringify(row))
        .toSorted(),
    ]),
  );
