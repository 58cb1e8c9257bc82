import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import highs from 'highs';
import { at, median, ms, times, type Row } from '#bench/measure.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import { compose } from '#server/compose.ts';
import { openDatabase } from '#server/db/connection.ts';
import { checkedSolver } from '#core/solve/answer.ts';
import { solveWithHighs } from '#core/solve/with-highs.ts';
import { planRotation } from '#core/reeds/plan-rotation.ts';
import { fourWeeks } from '#core/testing/rotations.ts';
import { reedId } from '#core/reeds/reed.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import { reedsPageOf } from '#server/features/reeds/reeds.views.ts';
import type { NewFact } from '#server/record/record-writer.repository.ts';

const INSTANCES = 8;

/** Plans of ten reeds: when the first and the improved one are there, and how far the last may be from the best. */
async function planning(): Promise<Row> {
  const runtime = await highs();
  const solve = checkedSolver((program, limits, stop) =>
    Promise.resolve(solveWithHighs(runtime, program, limits, () => stop?.aborted ?? false)),
  );
  const [first, second, whole, gaps]: [number[], number[], number[], number[]] = [[], [], [], []];
  for (let seed = 1; seed <= INSTANCES; seed++) {
    const start = performance.now();
    const told: number[] = [];
    const { gap } = await planRotation(fourWeeks(seed), {
      solve,
      stop: { aborted: false },
      onPlan: () => told.push(performance.now() - start),
    });
    first.push(told[0] ?? NaN);
    second.push(told[1] ?? NaN);
    whole.push(performance.now() - start);
    gaps.push((gap ?? 1) * 100);
  }
  return {
    what: `a plan of 10 reeds over 28 days, ${INSTANCES} instances: the first, worst`,
    figure: ms(Math.max(...first)),
    beside: `improved ${ms(Math.max(...second))}, done ${ms(Math.max(...whole))} at worst; gap ${median(gaps).toFixed(1)} % in the middle, ${Math.max(...gaps).toFixed(1)} % at worst`,
    goal: '< 300 ms, < 1 s, gap ≤ 5 % in 5 s',
  };
}

const REEDS = 400;
const IN_BOX = 10;
const YEARS = 10;
const DAYS = 365 * YEARS;
const MINUTES = 60;
const EVENING = 1200;

const key = (group: number, index: number): string =>
  `00000000-0000-4000-8${String(group).padStart(3, '0')}-${String(index).padStart(12, '0')}`;
const reedAt = (index: number) => reedId(key(1, Math.floor(index / IN_BOX)), (index % IN_BOX) + 1);

/** One player with one clarinet, forty boxes, and a reed after the other played for nine days each. */
function reedFacts(today: LocalDate): NewFact[] {
  const began = addDays(today, -DAYS);
  const base = { on: began, atMinute: null, corrects: null, belongsTo: null, loggedAt: instantOfMs(0) };
  const owner = { playerId: 'p' };
  const people: NewFact[] = [
    { ...base, key: 'player/p', kind: 'player', body: { id: 'p' } },
    {
      ...base,
      key: 'profile/p',
      kind: 'profile',
      belongsTo: 'player/p',
      body: { ...owner, name: 'P', standing: 'grown-up', does: [] },
    },
    {
      ...base,
      key: 'instrument/i',
      kind: 'instrument',
      body: { ...owner, id: 'i', kind: 'clarinet', name: 'i', acquiredOn: began, cameNew: true },
    },
    {
      ...base,
      key: 'build/i',
      kind: 'build',
      belongsTo: 'instrument/i',
      body: { instrumentId: 'i', build: usualBuild(BOOK.kinds.clarinet) },
    },
  ];
  const box = {
    ...owner,
    kind: 'clarinet',
    cut: null,
    strength: null,
    material: 'cane',
    breakIn: 'none',
    place: null,
    cost: null,
  };
  const boxes = Array.from({ length: REEDS / IN_BOX }, (_, index): NewFact => ({
    ...base,
    key: key(1, index),
    kind: 'reed-box',
    body: { ...box, name: `Box ${index}`, cameOn: began, before: Array.from({ length: IN_BOX }, () => 0) },
  }));
  const plays = Array.from({ length: DAYS }, (_, index): NewFact[] => {
    const [on, playKey] = [addDays(began, index), key(2, index)];
    const when = { ...base, on, atMinute: EVENING };
    const play = {
      ...owner,
      instrumentId: 'i',
      endedOn: on,
      endedAtMinute: EVENING,
      minutes: MINUTES,
      roomCelsius: null,
    };
    const shares = [{ reedId: reedAt(Math.floor((index * REEDS) / DAYS)), minutes: MINUTES }];
    return [
      { ...when, key: playKey, kind: 'play', body: play },
      {
        ...when,
        key: key(3, index),
        kind: 'reed-play',
        belongsTo: playKey,
        body: { ...owner, playKey, ofMinutes: MINUTES, high: 'none', shares },
      },
    ];
  }).flat();
  const ends = Array.from({ length: REEDS - IN_BOX }, (_, index): NewFact => ({
    ...base,
    key: key(4, index),
    on: addDays(began, Math.ceil(((index + 1) * DAYS) / REEDS)),
    kind: 'reed-said',
    body: { ...owner, reedId: reedAt(index), what: 'ended', feel: null, goodFor: null, signs: [], cause: 'soft' },
  }));
  return [...people, ...boxes, ...plays, ...ends];
}

/** The page of a player with 400 reeds and ten years of plays. */
async function page(today: LocalDate): Promise<Row> {
  const folder = mkdtempSync(path.join(tmpdir(), 'ulu-bench-reeds-'));
  const database = openDatabase(folder);
  const services = compose(database, { book: BOOK, nowMs: () => Date.now() })();
  services.atOnce(() => services.record.append(reedFacts(today)));
  const ask = () => reedsPageOf(services, 'p' as PlayerId, { on: today, atMinute: EVENING });
  const start = performance.now();
  ask();
  const cold = performance.now() - start;
  const all = await times(40, ask);
  database.close();
  rmSync(folder, { recursive: true, force: true });
  return {
    what: `reeds of a player with ${REEDS} of them and ${YEARS} years, p95`,
    figure: ms(at(all, 0.95)),
    beside: `${ms(median(all))} in the middle, ${ms(cold)} when something has changed`,
    goal: '< 50 ms',
  };
}

export const reedRows = async (today: LocalDate): Promise<Row[]> => [await page(today), await planning()];
