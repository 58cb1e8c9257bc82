import type { ExaminationNoted } from '#core/doublereeds/examination-noted.ts';
import {
  AS_IT_SHOULD,
  clipsSeen,
  foldExamination,
  heardBy,
  pitchFrom,
  type ClipSeen,
  type Examination,
  type TableEvent,
} from '#core/doublereeds/examination.ts';
import { NO_CLIPS, sumsWith } from '#core/doublereeds/clip-effect.ts';
import { nextMove, type TableSetting } from '#core/doublereeds/next-move.ts';
import { sortOf, type ReedSort } from '#core/doublereeds/reed-sort.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { reedId, type ReedBox, type ReedId } from '#core/reeds/reed.ts';
import { addDays, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { seeded, type Random } from '#demo/random.ts';
import type { DemoReeds } from '#demo/reeds.demo.ts';

/** A reed on the table in the demo, with all that was said of it. */
export type DemoExamination = Omit<ExaminationNoted, 'atMs'> & {
  readonly key: string;
  readonly on: LocalDate;
  readonly atMs: number;
  readonly told: readonly { readonly key: string; readonly event: TableEvent }[];
};

const SEED = 31;
const MS_PER_MINUTE = 60_000;
const MS_PER_DAY = 86_400_000;
/** Tables are told of so many days, on every so manieth day a reed was played. */
const DAYS_TOLD = 110;
const EVERY = 2;
/** Of a morning, minutes of the day. */
const AT_MINUTE = 545;
/** What a tenth of a millimetre does on these invented reeds, cents. */
const TRUE_CENTS: Readonly<Record<ReedSort, number>> = {
  'oboe-long': 5.5,
  'oboe-short': 5.5,
  'oboe-unknown': 5.5,
  'cor-anglais': 3.5,
  bassoon: 2.5,
};
const toTheFive = (cents: number): number => Math.max(-100, Math.min(100, Math.round(cents / 5) * 5));

/** How a reed really is. */
type Truth = { cents: number; clippedTenths: number; readonly clips: ClipSeen[] };
type Sitting = {
  readonly sort: ReedSort;
  readonly random: Random;
  readonly truth: Truth;
  readonly cracked: boolean;
  readonly began: number;
};

/** What somebody who looks and crows as the table asks says next; null once there is nothing more. */
function said(exam: Examination, setting: TableSetting, sitting: Sitting, nowMs: number): TableEvent | null {
  const { sort, random, truth, cracked } = sitting;
  const move = nextMove(exam, setting, nowMs);
  switch (move.move) {
    case 'soak':
      return foldExamination(exam, sort).throughMs === null ? { what: 'soak', said: 'through', atMs: nowMs } : null;
    case 'look': {
      const answer = move.look === 'light' && cracked ? 'crack' : AS_IT_SHOULD[move.look];
      return { what: 'look', look: move.look, answer, atMs: nowMs };
    }
    case 'crow': {
      const from = pitchFrom(sort) ?? 'crow';
      const cents = toTheFive(truth.cents * (from === 'crow' ? 1 : 0.5) + random.whole(-4, 4));
      return { what: 'crow', heard: heardBy(sort)[0] ?? 'steady', cents, from, atMs: nowMs };
    }
    case 'step':
      truth.cents += TRUE_CENTS[sort] * move.tenths;
      return { what: 'step', step: move.step, tenths: move.tenths, atMs: nowMs };
    case 'end':
      return null;
  }
}

/** One sitting at the table, from the water to its end. */
function sit(sitting: Sitting, noticed: Examination['noticed']): Examination {
  const { sort, truth, began } = sitting;
  const setting: TableSetting = {
    sort,
    standing: 'grown-up',
    clippedTenths: truth.clippedTenths,
    sitting: { clippedTenths: 0, openings: 0 },
    lengthTenths: null,
    arrivedUsed: false,
    clips: truth.clips.slice(-3),
    ofKind: () => sumsWith(NO_CLIPS, truth.clips),
    hasEnded: false,
  };
  const events: TableEvent[] = [];
  const exam: Examination = { way: 'whole', noticed, soakedFromMs: began, events };
  for (let at = began + 8 * MS_PER_MINUTE; ; at += MS_PER_MINUTE / 2) {
    const event = said(exam, setting, sitting, at);
    if (event === null) break;
    events.push(event);
    if (event.what === 'step') truth.clippedTenths += event.step === 'clip' ? event.tenths : 0;
  }
  truth.clips.push(...clipsSeen(events));
  return exam;
}

type Looked = { readonly id: ReedId; readonly box: ReedBox; readonly sort: ReedSort; readonly random: Random };

/** Every table at which one reed lay, the oldest first. */
function tablesOf(
  { id, box, sort, random }: Looked,
  { plays, said: sayings }: DemoReeds,
  today: LocalDate,
): DemoExamination[] {
  const days = [
    ...new Set(plays.filter(({ shares }) => shares.some((one) => one.reedId === id)).map(({ play }) => play.endedOn)),
  ];
  const split = sayings.find((one) => one.reedId === id && one.what === 'ended' && one.cause === 'split');
  const truth: Truth = { cents: -random.whole(5, 38), clippedTenths: 0, clips: [] };
  const examine = (on: LocalDate, cracked: boolean, first: boolean): DemoExamination => {
    const began = dayNumber(on) * MS_PER_DAY + AT_MINUTE * MS_PER_MINUTE;
    const noticed: Examination['noticed'] = cracked ? ['sank'] : first && truth.cents < -20 ? ['flat'] : [];
    const { events } = sit({ sort, random, truth, cracked, began }, noticed);
    return {
      key: random.key(),
      ...{
        playerId: box.playerId,
        reedId: id,
        way: 'whole',
        noticed,
        soakedMinutes: 0,
        interviewKey: null,
        interviewOf: null,
      },
      on,
      atMs: began,
      told: events.map((event) => ({ key: random.key(), event })),
    };
  };
  const looked = days.filter((_, at) => at % EVERY === 0).map((on, at) => examine(on, false, at === 0));
  return [...looked, ...(split ? [examine(split.on, true, false)] : [])].filter(
    ({ on }) => on >= addDays(today, -DAYS_TOLD),
  );
}

/** The tables of everybody in the demo who plays a double reed. */
export function demoTables(reeds: DemoReeds, instruments: readonly Instrument[], today: LocalDate): DemoExamination[] {
  const random = seeded(SEED);
  return reeds.boxes.flatMap((box) => {
    const scrape = instruments.find((one) => one.playerId === box.playerId && one.kind === box.kind)?.build.scrape;
    const sort = sortOf(box.kind, scrape ?? null);
    if (sort === undefined || box.cameOn < addDays(today, -DAYS_TOLD - 60)) return [];
    return box.before.flatMap((_, index) =>
      tablesOf({ id: reedId(box.key, index + 1), box, sort, random }, reeds, today),
    );
  });
}
