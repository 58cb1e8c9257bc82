import type { Format } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { DAILY_CAP, RAMP } from '#core/reeds/reed-numbers.ts';
import { shareOfLife } from '#core/reeds/reed-life.ts';
import { rotationWhy, rotationWords } from '#core/reeds/reed-plan-words.ts';
import type { RotationPlan } from '#core/reeds/plan-rotation.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { UNIT_MINUTES, type Rotation, type RotationReed } from '#core/reeds/rotation.ts';
import { isConcertReed } from '#core/reeds/which-reed.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { addDays, dayNumber, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { ReedPlanView } from '#contract/reed-views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { proposalOf, reedsOf, type OfKind } from '#server/features/reeds/reeds-of-kind.ts';
import type { Services } from '#server/services.ts';

/** Days of plan, and of record before it. */
const DAYS = 28;
/** A reed that knows no cap is planned as if nobody played longer. */
const NO_CAP = 1440;
/** More reeds in turn than anybody keeps: the plan takes those with the least behind them. */
const MOST_PLANNED = 16;

/** Caps of breaking in that are still ahead; the last ones of the ramp, each held as often as its way says. */
function rampOf({ breakIn }: ReedState): number[] {
  if (breakIn === null) return [];
  const held = breakIn.of / RAMP.length;
  return RAMP.flatMap(({ value }) => Array.from({ length: held }, () => value)).slice(breakIn.reached);
}

/** The first day of the plan on which it may play: the day after, or one more where it has to rest. */
function firstDay({ lastPlayedOn, breakIn, box }: ReedState, today: LocalDate): number {
  if (lastPlayedOn === null || box.material === 'synthetic') return 0;
  const rest = breakIn === null ? 2 : 1;
  return Math.max(0, rest - daysBetween(lastPlayedOn, today));
}

function planReed(reed: ReedState, { lives }: OfKind, today: LocalDate): RotationReed {
  const isCane = reed.box.material === 'cane';
  return {
    id: reed.id,
    ramp: rampOf(reed),
    cap: isCane ? DAILY_CAP.value : NO_CAP,
    rests: isCane,
    from: firstDay(reed, today),
    share: shareOfLife(reed, lives),
    life: lives[reed.box.material].belief.median.mean,
    isConcert: isConcertReed(reed),
    isPracticeOnly: reed.stage === 'practice-only',
    pinned: {},
  };
}

const inFives = (minutes: number): number => Math.round(minutes / UNIT_MINUTES) * UNIT_MINUTES;

/** What is proposed for now stands in the plan: the two never say different things of today. */
function pinsOf(of: OfKind, now: WallClock, minutes: number): ReadonlyMap<string, number> {
  const { first, choices } = proposalOf(of, now);
  const pins = new Map<string, number>();
  let left = minutes;
  for (const { reed, minutes: cap } of [...first, ...choices.slice(0, 1)]) {
    const session = Math.min(left, Math.floor(cap / UNIT_MINUTES) * UNIT_MINUTES);
    if (session > 0) pins.set(reed.id, session);
    left -= session;
  }
  return pins;
}

/** What is planned: the reeds in use, and the minutes the days will probably hold less what today has had. */
function rotationOf(of: OfKind, reeds: readonly ReedState[], now: WallClock): Rotation {
  const today = now.on;
  const day = dayNumber(today);
  const had = of.reeds.reduce((sum, { playedToday }) => sum + playedToday, 0);
  const days = Array.from({ length: DAYS }, (_, index) => ({
    minutes: inFives(Math.max(0, of.minutesOn(day + index) - (index === 0 ? had : 0))),
    concertMinutes: inFives(of.concerts.get(day + index) ?? 0),
  }));
  const pins = pinsOf(of, now, days[0]?.minutes ?? 0);
  return {
    days,
    reeds: reeds.map((reed) => {
      const pin = pins.get(reed.id);
      return { ...planReed(reed, of, today), ...(pin === undefined ? {} : { pinned: { 0: pin } }) };
    }),
  };
}

const inUse = ({ stage }: ReedState): boolean => stage !== 'new' && stage !== 'retired';

type Planned = { readonly plan: RotationPlan; readonly rotation: Rotation; readonly reeds: readonly ReedState[] };

function viewOf({ plan, rotation, reeds }: Planned, today: LocalDate, format: Format): Omit<ReedPlanView, 'isFinal'> {
  const from = addDays(today, -DAYS);
  const first = dayNumber(from);
  return {
    from,
    today,
    expected: rotation.days.map(({ minutes }) => minutes),
    concerts: rotation.days.map(({ concertMinutes }) => concertMinutes > 0),
    rows: reeds.map((reed, at) => {
      const played = Array.from({ length: DAYS }, () => 0);
      for (const { on, minutes } of reed.days) {
        const index = dayNumber(on) - first;
        if (index >= 0 && index < DAYS) played[index] = minutes;
      }
      const planned = [...(plan.schedules[at] ?? [])];
      let step = 0;
      const ramp = rotation.reeds[at]?.ramp ?? [];
      const caps = planned.map((minutes) => (minutes > 0 ? (ramp[step++] ?? null) : null));
      return { reedId: reed.id, number: reed.number, boxName: reed.boxName, played, planned, caps };
    }),
    words: rotationWords(plan, format),
    because: rotationWhy(plan, format),
  };
}

/** Nobody waits longer for a plan that is there but may still become better, ms. */
const PATIENCE_MS = 1000;
const patience = (): Promise<void> => new Promise((resolve) => void setTimeout(resolve, PATIENCE_MS).unref());

/** A plan in the making: the best so far is told soon, and the last one once it is there. */
function planningOf({ desk, remembered }: Services, rotation: Rotation) {
  let latest: RotationPlan | undefined;
  let isFinal = false;
  let begun: () => void = () => undefined;
  const first = new Promise<void>((resolve) => {
    begun = resolve;
  });
  const done = desk
    .ask('rotation', rotation, {
      onProgress: (plan) => {
        latest = plan as RotationPlan;
        begun();
      },
    })
    .then((plan) => {
      [latest, isFinal] = [plan, true];
    })
    .catch((error: unknown) => {
      // A plan that failed is not kept as one.
      remembered.forget();
      throw error;
    });
  // Where nobody waits for it any more, its end is nobody's fault.
  done.catch(() => undefined);
  return {
    soon: async (): Promise<{ readonly plan: RotationPlan; readonly isFinal: boolean }> => {
      await Promise.race([done, Promise.all([first, patience()])]);
      if (latest === undefined) throw new Error('a plan of reeds came to an end without one');
      return { plan: latest, isFinal };
    },
  };
}

/** Which reed plays when in the next four weeks, beside what the last four were; worked out once for each state of the record. */
export async function reedPlanOf(
  services: Services,
  playerId: PlayerId,
  { kind, now }: { readonly kind: KindId; readonly now: WallClock },
): Promise<Outcome<ReedPlanView, Failure>> {
  const today = now.on;
  const of = reedsOf(services, playerId, today).find((one) => one.kind === kind);
  if (of === undefined) return fail(notFound('kind', { code: 'no-reeds-on-it' }));
  const reeds = of.reeds
    .filter(inUse)
    .toSorted((a, b) => shareOfLife(a, of.lives) - shareOfLife(b, of.lives))
    .slice(0, MOST_PLANNED)
    .sort((a, b) => a.id.localeCompare(b.id));
  const rotation = rotationOf(of, reeds, now);
  const pins = rotation.reeds.map(({ pinned }) => pinned[0] ?? 0).join();
  const subjects = [ofPlayer(playerId), ...of.instruments.map(({ instrument }) => ofInstrument(instrument.id))];
  const planning = services.remembered.of(`reed plan ${playerId} ${kind}`, subjects, `${today} ${pins}`, () =>
    planningOf(services, rotation),
  );
  const { plan, isFinal } = await planning.soon();
  return succeed({ ...viewOf({ plan, rotation, reeds }, today, services.format), isFinal });
}
