import { BOOK } from '#core/tables/book.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import { USUAL_ROOM_CELSIUS } from '#core/air/room.ts';
import { DEMO_CHOICES, DEMO_CONDITIONS } from '#demo/judgements.demo.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import type { Instrument, InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { planRun } from '#core/packup/plan-run.ts';
import { withStandsOn } from '#core/packup/with-stands-on.ts';
import { practicePlayed } from '#core/situation/alone-standing.ts';
import type { RunPlan } from '#core/packup/run-plan.ts';
import { keepPlan, type KeptPlan } from '#core/packup/kept-plan.ts';
import type { RunEvent } from '#core/packup/run-event.ts';
import { careDoneBy, signsSeenBy, type CareDone } from '#core/packup/run-care.ts';
import { foldRun, type RunKind } from '#core/packup/run-log.ts';
import type { Player } from '#core/players/profile.ts';
import { usualWetness } from '#core/water/wetness.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';
import { DEMO_GAPS, DEMO_INSTRUMENTS, type DemoInstrument } from '#demo/habits.demo.ts';
import { DEMO_PLAYERS } from '#demo/players.demo.ts';
import { demoTables } from '#demo/double-reeds.demo.ts';
import { demoReeds } from '#demo/reeds.demo.ts';
import type { DemoPlay, DemoRun, DemoSign, DemoCare, DemoWorld } from '#demo/told.ts';
import { seeded, type Random } from '#demo/random.ts';

const DAYS_TOLD = 730;
const MS_PER_MINUTE = 60_000;

type Story = {
  readonly told: DemoInstrument;
  readonly instrument: Instrument;
  readonly player: Player;
  readonly random: Random;
};

const instantAt = (on: LocalDate, minute: number) => instantOfMs((dayNumber(on) * 1440 + minute) * MS_PER_MINUTE);

const usualAnswer = (plan: RunPlan, look: StepId): string =>
  plan.steps.find(({ step }) => step.id === look)?.step.look?.answers[0]?.id ?? '';

/** The log of one run: everything ticked in order. */
function eventsOf(
  plan: RunPlan,
  startsAt: { on: LocalDate; minute: number; isAway: boolean },
  random: Random,
): DemoRun['log'] {
  const at = (minute: number) => instantAt(startsAt.on, startsAt.minute + minute);
  const pace = random.whole(80, 130) / 100;
  const { isAway } = startsAt;
  const steps = plan.steps.filter(({ away }) => (isAway ? away === 'now' || away === 'only' : away !== 'only'));
  const onTheWay: RunEvent[] = isAway ? [{ kind: 'away', at: at(0) }] : [];
  const events = steps.flatMap(({ key: stepKey, step, startsAtMinute, activeMinutes }): RunEvent[] => {
    const when = at(((startsAtMinute ?? 0) + activeMinutes) * pace);
    const [usual] = step.look?.answers ?? [];
    if (usual) return [{ kind: 'answered', stepKey, answer: usual.id, at: when }];
    if (step.calledBy && !step.calledBy.answers.includes(usualAnswer(plan, step.calledBy.look))) return [];
    if (step.onlyIf !== undefined && random.chance(0.8))
      return [{ kind: 'skipped', stepKey, reason: 'not-needed', at: when }];
    return [{ kind: 'ticked', stepKey, at: when }];
  });
  return [...onTheWay, ...events, { kind: 'finished' as const, at: at(plan.elapsedMinutes * pace) }].map((event) => ({
    key: random.key(),
    event,
  }));
}

type RunToTell = {
  readonly kind: RunKind;
  readonly items: readonly CareItemId[];
  readonly on: LocalDate;
  readonly minute: number;
  readonly play: DemoPlay | null;
  /** What a hurried player gives it; null for all it takes. */
  readonly minutesAtHand: number | null;
  readonly isAway: boolean;
};

type Planned = {
  readonly plan: RunPlan;
  readonly kept: KeptPlan;
  /** What its runs have done, by what was said of their steps: most days say the same. */
  readonly done: Map<string, readonly CareDone[]>;
};
/** The same instrument after as long a play is packed up by the same plan: of thousands of runs a few hundred are planned. */
const plans = new Map<string, Planned>();

function planOf({ instrument, player }: Story, { items, play, minutesAtHand, isAway }: RunToTell): Planned {
  const playedMinutes = play?.minutes ?? 0;
  const asked = [instrument.id, playedMinutes, minutesAtHand, isAway, ...items].join(' ');
  const known = plans.get(asked);
  if (known) return known;
  const whole = usualPractice(BOOK, instrument.kind, instrument.build);
  const practice = practicePlayed({ practice: whole }, play?.alone ?? null);
  const part = {
    instrumentId: instrument.id,
    kind: practice.kind,
    practice,
    items,
    playedMinutes,
    roomCelsius: USUAL_ROOM_CELSIUS,
    wetness: usualWetness,
    loads: new Map(),
  };
  const planned = planRun({ parts: [part], player, minutesAtHand, learned: new Map() });
  // What stands on what is found step by step: only where it is shown.
  const plan = isAway ? withStandsOn(planned, [part]) : planned;
  const made = { plan, kept: keepPlan(plan), done: new Map<string, readonly CareDone[]>() };
  plans.set(asked, made);
  return made;
}

function doneIn({ kept, done }: Planned, events: readonly RunEvent[]): readonly CareDone[] {
  const said = events.map(({ at: _when, ...one }) => Object.values(one).join(' ')).join();
  const known = done.get(said) ?? careDoneBy(foldRun(kept, events));
  done.set(said, known);
  return known;
}

function runOf(story: Story, toTell: RunToTell): DemoRun {
  const { kind, items, on, minute, play, minutesAtHand, isAway } = toTell;
  const { instrument, random } = story;
  const planned = planOf(story, toTell);
  const { plan, kept } = planned;
  const log = eventsOf(plan, { on, minute, isAway }, random);
  const events = log.map(({ event }) => event);
  return {
    key: random.key(),
    instrumentId: instrument.id,
    playerId: instrument.playerId,
    kind,
    playKey: play?.key ?? null,
    playedMinutes: play?.minutes ?? 0,
    roomCelsius: USUAL_ROOM_CELSIUS,
    alone: play?.alone ?? null,
    thirst: usualPractice(BOOK, instrument.kind, instrument.build).thirst,
    askedItems: items,
    plan: kept,
    startedOn: on,
    startedAtMinute: minute,
    startedAt: instantAt(on, minute),
    minutesAtHand,
    log,
    done: doneIn(planned, events),
    seen: isAway ? signsSeenBy(foldRun(kept, events)) : [],
  };
}

function playOn(story: Story, on: LocalDate, lastNight: boolean): DemoPlay | null {
  const { told, instrument, random } = story;
  const chance = told.plays.chances[weekdayOfDay(dayNumber(on))] ?? 0;
  if (!random.chance(chance) && !(lastNight && (told.waits || told.onTheWay))) return null;
  const [shortest, longest] = told.plays.minutes;
  const minutes = Math.max(5, Math.round(random.whole(shortest, longest) / 5) * 5);
  return {
    key: random.key(),
    instrumentId: instrument.id,
    playerId: instrument.playerId,
    endedOn: on,
    endedAtMinute: random.whole(...told.plays.endsAtMinute),
    roomCelsius: null,
    alone: told.alone ?? null,
    minutes,
  };
}

/** Which periodic items somebody gets round to on a day; the first time falls at random within the interval. */
function careDueOn(story: Story, daysAgo: number, lastDaysAgo: Map<CareItemId, number>): DemoInstrument['care'] {
  return story.told.care.filter(({ item, everyDays, stoppedDaysAgo }) => {
    if (stoppedDaysAgo !== undefined && daysAgo < stoppedDaysAgo) return false;
    const last = lastDaysAgo.get(item);
    const due = last === undefined ? story.random.chance(2 / everyDays) : last - daysAgo >= everyDays;
    if (due || daysAgo === stoppedDaysAgo) {
      lastDaysAgo.set(item, daysAgo);
      return true;
    }
    return false;
  });
}

/** Of late everybody packs up in full, but for those whose instrument still waits from last night. */
const OF_LATE_DAYS = 42;
const HURRIED_MINUTES = 4;
function packsUp({ told, random }: Story, daysAgo: number): boolean {
  const minded = random.chance(told.packsUp);
  if (daysAgo === 1 && told.waits) return false;
  return minded || daysAgo <= OF_LATE_DAYS;
}

type Told = { plays: DemoPlay[]; runs: DemoRun[]; care: DemoCare[] };

function tellDay(
  story: Story,
  { on, daysAgo }: { readonly on: LocalDate; readonly daysAgo: number },
  lastDaysAgo: Map<CareItemId, number>,
  told: Told,
): void {
  const away = DEMO_GAPS.some(({ from, to }) => daysAgo <= from && daysAgo >= to);
  const { instrument, random } = story;
  const items = usualPractice(BOOK, instrument.kind, instrument.build).items;
  const lastNight = daysAgo === 1;
  const play = away ? null : playOn(story, on, lastNight);
  if (play) {
    told.plays.push(play);
    const everyPlay = items
      .filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after')
      .map(({ id }) => id);
    const hurried = random.chance(story.told.hurries) && daysAgo > OF_LATE_DAYS;
    if (packsUp(story, daysAgo))
      told.runs.push(
        runOf(story, {
          kind: 'after',
          items: everyPlay,
          on,
          minute: play.endedAtMinute,
          play,
          minutesAtHand: hurried ? HURRIED_MINUTES : null,
          isAway: lastNight && story.told.onTheWay === true,
        }),
      );
  }
  const due = away ? [] : careDueOn(story, daysAgo, lastDaysAgo);
  for (const { item, by } of due) {
    if (by === 'bench')
      told.care.push({ key: random.key(), instrumentId: instrument.id, itemId: item, doneOn: on, by });
  }
  const atHome = due.filter(({ by }) => by === undefined).map(({ item }) => item);
  if (atHome.length > 0)
    told.runs.push(
      runOf(story, {
        kind: 'care',
        items: atHome,
        on,
        minute: random.whole(600, 660),
        play: null,
        minutesAtHand: null,
        isAway: false,
      }),
    );
}

/** The demo world as it stands on `today`: two years told day by day up to yesterday. */
export function demoWorld(today: LocalDate, seed = 1): DemoWorld {
  const random = seeded(seed);
  const told: Told = { plays: [], runs: [], care: [] };
  const instruments = DEMO_INSTRUMENTS.map((one): Instrument => {
    const { id, playerId, name, kind, build, acquiredDaysAgo, cameNew } = one;
    return {
      id: id as InstrumentId,
      playerId: playerId as PlayerId,
      name,
      kind,
      build,
      acquiredOn: addDays(today, -acquiredDaysAgo),
      cameNew,
      leftOn: null,
    };
  });
  DEMO_INSTRUMENTS.forEach((one, index) => {
    const instrument = instruments[index];
    const player = DEMO_PLAYERS.find(({ id }) => id === one.playerId);
    if (!instrument || !player) throw new Error(`${one.id} has no player`);
    const lastDaysAgo = new Map<CareItemId, number>();
    for (let daysAgo = Math.min(DAYS_TOLD, one.acquiredDaysAgo); daysAgo >= 1; daysAgo--)
      tellDay({ told: one, instrument, player, random }, { on: addDays(today, -daysAgo), daysAgo }, lastDaysAgo, told);
  });
  const signs = DEMO_INSTRUMENTS.flatMap(({ id, signs: seen = [] }) =>
    seen.map(({ item, part, daysAgo }): DemoSign => ({
      key: random.key(),
      instrumentId: id as InstrumentId,
      itemId: item,
      part,
      noticedOn: addDays(today, -daysAgo),
    })),
  );
  const choices = DEMO_CHOICES.map((one) => ({ ...one, key: random.key(), chosenOn: addDays(today, -30) }));
  const conditions = DEMO_CONDITIONS.map((one) => ({
    ...one,
    key: random.key(),
    beginsOn: addDays(today, -one.beganDaysAgo),
  }));
  const reeds = demoReeds(instruments, told.plays, today);
  return {
    players: DEMO_PLAYERS,
    instruments,
    signs,
    choices,
    conditions,
    reeds,
    tables: demoTables(reeds, instruments, today),
    ...told,
  };
}
