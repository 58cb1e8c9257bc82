import { isLaidBy } from '#core/faults/faults-standing.ts';
import type { ClockReason } from '#core/care/care-clock.ts';
import { CASED_DAMP, type CareItemId } from '#core/book/care-ids.ts';
import { isOnTheSpot, type CareItem } from '#core/book/care-item.ts';
import { itemIn } from '#core/book/practice.ts';
import { runPartOf } from '#core/situation/run-part-of.ts';
import { partsLeftWet } from '#core/situation/alone-standing.ts';
import type { Situation } from '#core/situation/situation.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { Refusal } from '#core/failure/refusal.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { keepPlan } from '#core/packup/kept-plan.ts';
import { planRun } from '#core/packup/plan-run.ts';
import { withStandsOn } from '#core/packup/with-stands-on.ts';
import type { RunPart } from '#core/packup/run-plan.ts';
import { foundIn, waitsAtHome } from '#core/packup/run-care.ts';
import { foldRun, type RunKind } from '#core/packup/run-log.ts';
import { handsFor, type PlayerAbilities } from '#core/players/player.ts';
import type { Play, WallClock } from '#core/plays/play.ts';
import { conflict, invalid, noInstrument, notFound, type Failure } from '#server/failure.ts';
import type { RunBody } from '#server/features/packup/packup.mapper.ts';
import { planOf } from '#server/features/packup/plan-of-run.ts';
import { writtenPlan } from '#server/features/packup/stored-plan.ts';
import type { Reading } from '#server/readings.ts';
import type { ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { Sending } from '#contract/fact.ts';
import type { runFact } from '#contract/packup.ts';

type Share = Sending<typeof runFact>['parts'][number];
/** A share of a run with what it follows on and what was asked for. */
type Planned = {
  readonly part: RunPart;
  readonly alone: AloneId | null;
  readonly playKey: string | null;
  readonly asked: Omit<Share, 'instrumentId'>;
};

/** So many runs back the one on the way is looked for. */
const RUNS_LOOKED_BACK = 5;

const belongsToEvery = (kind: RunKind) => (item: CareItem) =>
  item.trigger.kind === 'every-play' && item.trigger.moment === kind;

/** Is it the bench's, or does something stuck keep it waiting for the bench? */
function barredAtHome(
  { methods: { practice }, care: { clocks } }: Situation,
  item: CareItem,
  player: PlayerAbilities,
): Refusal | null {
  if (item.place === 'bench' || handsFor(item.skill, player) === 'bench')
    return { code: 'is-the-benchs', item: item.name };
  const waits = clocks.some((clock) => clock.item.id === item.id && clock.state === 'waiting');
  const blocker = waits ? itemIn(practice, item.blockedBy ?? item.id) : undefined;
  return blocker ? { code: 'waits-for-the-bench', item: item.name, blocker: blocker.name.toLowerCase() } : null;
}

/** A condition that belongs to every making-ready while it lasts. */
const isEachJoining = (reason: ClockReason): boolean =>
  reason.rule === 'condition' && reason.call.kind === 'at-each-joining';

/** What stands cased damp is laid out by itself: what was left on the way comes along. */
function itemsOfDamp(
  { methods: { practice }, care }: Situation,
  share: Share,
  field: string,
): Outcome<CareItemId[], Failure> {
  if (care.dampSince === null) return fail(conflict(`${field}.itemIds`, { code: 'not-cased-damp' }));
  if (share.itemIds.length > 1) return fail(invalid(`${field}.itemIds`, { code: 'damp-by-itself' }));
  return succeed([CASED_DAMP, ...practice.items.filter(belongsToEvery('after')).map(({ id }) => id)]);
}

/** What the run on the way has left of every play, and what its looks found. */
function leftOnTheWay(services: Services, instrumentId: InstrumentId): Pick<RunPart, 'only' | 'found'> {
  for (const run of services.packup.newestFinished(instrumentId, RUNS_LOOKED_BACK)) {
    const plan = planOf(services, run);
    const log = services.packup.log(run.id).map(({ event }) => event);
    const now = plan.ok ? foldRun(plan.value, log) : null;
    if (now?.isAway)
      return { only: waitsAtHome(now).get(instrumentId) ?? new Set(), found: foundIn(now, instrumentId) };
  }
  return { only: new Set(), found: new Map() };
}

/** The items of a share: those of every play by the run's kind, and the ones asked for, if they may be done at home. */
function itemsOf(
  situation: Situation,
  { kind, share, field }: { kind: RunKind; share: Share; field: string },
  player: PlayerAbilities,
): Outcome<CareItemId[], Failure> {
  const { practice } = situation.methods;
  if (share.itemIds.includes(CASED_DAMP)) return itemsOfDamp(situation, share, field);
  const asked: CareItem[] = [];
  for (const [index, id] of share.itemIds.entries()) {
    const item = itemIn(practice, id);
    if (!item) return fail(notFound(`${field}.itemIds[${index}]`, { code: 'no-such-care' }));
    const barred = barredAtHome(situation, item, player);
    if (barred !== null) return fail(invalid(`${field}.itemIds[${index}]`, barred));
    if (isOnTheSpot(item) && (kind !== 'care' || share.itemIds.length > 1))
      return fail(invalid(`${field}.itemIds[${index}]`, { code: 'on-the-spot-by-itself', item: item.name }));
    asked.push(item);
  }
  // A new cork is greased at each joining for its first weeks.
  const forNow = situation.care.clocks
    .filter(({ state, because }) => kind === 'before' && state === 'due' && because.some(isEachJoining))
    .map(({ item }) => item);
  const items = [...practice.items.filter(belongsToEvery(kind)), ...forNow, ...asked].map(({ id }) => id);
  if (items.length === 0) return fail(invalid(`${field}.itemIds`, { code: 'nothing-to-do' }));
  return succeed([...new Set(items)]);
}

/** What a share follows on: the play named, else the last one if it has not been packed up; none for other runs. */
function playedBefore(
  services: Services,
  { kind, share, reading }: { kind: RunKind; share: Share; reading: Reading },
  { care }: Situation,
): Outcome<Play | null, Failure> {
  if (share.playKey === null) return succeed(kind === 'after' && care.awaitsPackUp ? reading.facts.lastPlay() : null);
  const play = services.plays.standing(share.playKey);
  return play?.instrumentId === share.instrumentId
    ? succeed(play)
    : fail(notFound('playKey', { code: 'no-such-play' }));
}

/** An instrument that is laid by is neither made ready nor cared for; what was played all the same is packed up. */
const stoppedFor = (kind: RunKind, { faults }: Situation): Refusal | null =>
  kind !== 'after' && faults.stopped && isLaidBy(faults)
    ? { code: 'instrument-is-stopped', heading: faults.stopped.rule.heading }
    : null;

/**
 * The parts a run is about: as asked, else those the play was of, else those that are the usual for a while. What waits
 * of the whole is packed up with it.
 */
function aloneOf(
  situation: Situation,
  { kind, share, play }: { kind: RunKind; share: Share; play: Play | null },
): AloneId | null {
  if (kind === 'care') return null;
  const usual = situation.alone.usual?.alone.id ?? null;
  const wanted = share.alone === undefined ? (play === null ? usual : play.alone) : share.alone;
  return kind === 'after' ? partsLeftWet(situation, wanted) : wanted;
}

/** A share with its instrument's situation: what the planner plans from. */
function partOf(
  services: Services,
  { kind, share, field, now }: { kind: RunKind; share: Share; field: string; now: WallClock },
  player: Starter['player'],
): Outcome<Planned, Failure> {
  const reading = services.readings.of(share.instrumentId);
  if (!reading) return fail(noInstrument(`${field}.instrumentId`));
  const { instrument } = reading;
  if (instrument.leftOn !== null) return fail(conflict(`${field}.instrumentId`, { code: 'not-on-shelf' }));
  const situation = reading.situation(now.on);
  const stop = stoppedFor(kind, situation);
  if (stop !== null) return fail(conflict(`${field}.instrumentId`, stop));
  const items = itemsOf(situation, { kind, share, field }, player);
  if (!items.ok) return items;
  const played = playedBefore(services, { kind, share, reading }, situation);
  if (!played.ok) return played;
  const play = played.value;
  const alone = aloneOf(situation, { kind, share, play });
  if (alone !== null && !situation.alone.sets.some(({ id }) => id === alone))
    return fail(invalid(`${field}.alone`, { code: 'not-played-so' }));
  const whole = runPartOf(situation, { items: items.value, play, alone, wetness: reading.wetness() });
  const part = {
    ...whole,
    ...(items.value.includes(CASED_DAMP) && leftOnTheWay(services, share.instrumentId)),
    expected: services.packup.answersExpected(whole, player),
  };
  const { playKey, itemIds } = share;
  const asked = { playKey, itemIds, ...(share.alone === undefined ? {} : { alone: share.alone }) };
  return succeed({ part, alone, playKey: play?.key ?? null, asked });
}

export type Starter = {
  readonly player: PlayerAbilities & { readonly id: PlayerId };
  readonly now: WallClock;
};

/** Plans the run that was asked for, over all its instruments. */
export function plannedRun(
  services: Services,
  request: Sending<typeof runFact>,
  { player, now }: Starter,
): Outcome<ToWrite<RunBody>, Failure> {
  const planned: Planned[] = [];
  for (const [index, share] of request.parts.entries()) {
    const field = `parts[${index}]`;
    if (planned.some(({ part }) => part.instrumentId === share.instrumentId))
      return fail(invalid(`${field}.instrumentId`, { code: 'twice-in-the-run' }));
    const part = partOf(services, { kind: request.kind, share, field, now }, player);
    if (!part.ok) return part;
    planned.push(part.value);
  }
  const parts = planned.map(({ part }) => part);
  const plan = planRun({
    parts,
    player,
    minutesAtHand: request.minutesAtHand,
    learned: services.packup.learnedMinutes(parts, player),
  });
  const shares = planned.map(({ part: { instrumentId, roomCelsius, practice }, alone, playKey, asked }) => ({
    instrumentId,
    playKey,
    playedMinutes: null,
    roomCelsius,
    alone,
    thirst: practice.thirst,
    asked,
  }));
  const { kind, minutesAtHand } = request;
  return succeed({
    body: { shares, playerId: player.id, kind, minutesAtHand, plan: writtenPlan(keepPlan(withStandsOn(plan, parts))) },
    ...now,
  });
}
