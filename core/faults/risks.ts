import type { AirRead } from '#core/air/air-record.ts';
import type { RiskId } from '#core/book/fault.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import type { CareStanding } from '#core/care/care-standing.ts';
import type { ConditionsStanding } from '#core/conditions/conditions-standing.ts';
import { risksOfMishap, type MishapRisk } from '#core/faults/fault-record.ts';
import type { FaultsStanding } from '#core/faults/faults-standing.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { PlayColumns } from '#core/plays/play-columns.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { WARP_BY } from '#core/reeds/reed-numbers.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import { addDays, addMonths, dateOfDay, daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** What in the record makes some causes likelier, with the figures its sentence needs. */
export type RiskNoted =
  | { readonly risk: 'long-play'; readonly minutes: number }
  | { readonly risk: 'cold-room'; readonly celsius: number }
  | { readonly risk: 'damp-air' | 'dry-air'; readonly humidityPercent: number | null }
  | { readonly risk: 'weather-change'; readonly before: AirRead; readonly now: AirRead }
  | { readonly risk: 'pads-skipped'; readonly plays: number }
  | { readonly risk: 'long-rest'; readonly days: number | null }
  | { readonly risk: 'old-pads'; readonly since: LocalDate }
  | { readonly risk: OverdueRisk; readonly item: string }
  | { readonly risk: 'reed-worn'; readonly reed: string }
  | { readonly risk: 'reed-much-played'; readonly reed: string }
  | { readonly risk: MishapRisk; readonly on: LocalDate }
  | { readonly risk: 'swab-skipped' | 'new-player' | 'new-cork' | 'new-wood' | 'valves-out-today' };

const OVERDUE = {
  'holes-overdue': ['clarinet/tone-holes', 'bamboo-flute/hole-dust'],
  'key-oil-overdue': ['keyed/key-oil'],
  'valve-oil-overdue': ['piston-brass/valve-oil', 'rotary-brass/rotor-oil'],
  'slide-care-overdue': ['brass/slide-grease', 'trombone/slide-oil', 'horn/monthly-slides'],
  'grease-overdue': ['tenons/grease'],
  'bath-overdue': ['piston-brass/bath', 'trombone/bath', 'piston-brass/mouthpipe-brush', 'trombone/mouthpipe-brush'],
  'service-overdue': ['wind/bench-service'],
} as const satisfies { readonly [Id in RiskId]?: readonly CareItemId[] };
type OverdueRisk = keyof typeof OVERDUE;
const VALVES_OUT: readonly CareItemId[] = ['piston-brass/bath'];

// From where on each counts; estimates all of them.
const LONG_PLAY_MINUTES = 75;
const COLD_CELSIUS = 16;
const DAMP_PERCENT = 65;
const DRY_PERCENT = 35;
const AIR_COUNTS_DAYS = 3;
const CHANGE_WITHIN_DAYS = 4;
const PADS_SKIPPED_PLAYS = 3;
const REST_DAYS = 28;
const OLD_PADS_MONTHS = 60;
const NEW_PLAYER_PLAYS = 30;

/** What the risks are read from. */
export type RiskFacts = {
  readonly today: LocalDate;
  readonly instrument: Pick<Instrument, 'acquiredOn'>;
  readonly player: Pick<PlayerAbilities, 'standing'>;
  readonly plays: PlayColumns;
  readonly care: Pick<CareStanding, 'clocks' | 'awaitsPackUp'>;
  readonly conditions: Pick<ConditionsStanding, 'ids' | 'roomCelsius'>;
  readonly air: readonly AirRead[];
  readonly faults: Pick<FaultsStanding, 'mishaps'>;
};

const isOver = ({ state }: ItemClock): boolean => state === 'due' || state === 'overdue';

function ofPlays({ plays, today, player }: RiskFacts): RiskNoted[] {
  const count = plays.endedAt.length;
  const noted: RiskNoted[] = [];
  const minutes = plays.minutes[count - 1];
  if (minutes !== undefined && minutes >= LONG_PLAY_MINUTES) noted.push({ risk: 'long-play', minutes });
  const endedAt = plays.endedAt[count - 1];
  if (endedAt !== undefined) {
    const days = daysBetween(dateOfDay(Math.floor(endedAt / MINUTES_PER_DAY)), today);
    if (days >= REST_DAYS) noted.push({ risk: 'long-rest', days });
  }
  if (player.standing !== 'grown-up' && count < NEW_PLAYER_PLAYS) noted.push({ risk: 'new-player' });
  return noted;
}

/** Two readings far enough apart that wood and cane feel it. */
const isAChange = (before: AirRead, now: AirRead): boolean =>
  Math.abs(now.humidityPercent - before.humidityPercent) >= WARP_BY.humidityPercent.value ||
  Math.abs(now.celsius - before.celsius) >= WARP_BY.celsius.value;

/** What the newest reading says, and the one before it. */
function ofReadings(air: readonly AirRead[], today: LocalDate): RiskNoted[] {
  const now = air.findLast(({ on }) => on >= addDays(today, -AIR_COUNTS_DAYS) && on <= today);
  if (!now) return [];
  const { humidityPercent } = now;
  const before = air.findLast(({ on }) => on < now.on && on >= addDays(now.on, -CHANGE_WITHIN_DAYS));
  return [
    ...(humidityPercent > DAMP_PERCENT ? [{ risk: 'damp-air', humidityPercent } as const] : []),
    ...(humidityPercent < DRY_PERCENT ? [{ risk: 'dry-air', humidityPercent } as const] : []),
    ...(before && isAChange(before, now) ? [{ risk: 'weather-change', before, now } as const] : []),
  ];
}

function ofAir({ air, today, conditions: { ids, roomCelsius } }: RiskFacts): RiskNoted[] {
  return [
    ...(roomCelsius <= COLD_CELSIUS ? [{ risk: 'cold-room', celsius: roomCelsius } as const] : []),
    ...ofReadings(air, today),
    ...(ids.includes('dry-air') ? [{ risk: 'dry-air', humidityPercent: null } as const] : []),
  ];
}

function ofCare({ care, today, instrument }: RiskFacts): RiskNoted[] {
  const { clocks } = care;
  const byId = new Map(clocks.map((clock) => [clock.item.id, clock]));
  const noted: RiskNoted[] = care.awaitsPackUp ? [{ risk: 'swab-skipped' }] : [];
  const pads = byId.get('keyed/blot-pads')?.load ?? 0;
  if (pads >= PADS_SKIPPED_PLAYS) noted.push({ risk: 'pads-skipped', plays: Math.round(pads) });
  for (const risk of Object.keys(OVERDUE) as OverdueRisk[]) {
    const over = OVERDUE[risk].map((id) => byId.get(id)).find((clock) => clock !== undefined && isOver(clock));
    if (over) noted.push({ risk, item: over.item.name });
  }
  if (VALVES_OUT.some((id) => byId.get(id)?.lastDone?.on === today)) noted.push({ risk: 'valves-out-today' });
  const isOld = addMonths(instrument.acquiredOn, OLD_PADS_MONTHS) <= today;
  if (isOld && byId.get('wind/bench-service')?.lastDone === null)
    noted.push({ risk: 'old-pads', since: instrument.acquiredOn });
  return noted;
}

const ofConditions = ({ conditions: { ids } }: RiskFacts): RiskNoted[] => [
  ...(ids.includes('new-cork') ? [{ risk: 'new-cork' } as const] : []),
  ...(ids.includes('new-wood') ? [{ risk: 'new-wood' } as const] : []),
  ...(ids.includes('long-rest') ? [{ risk: 'long-rest', days: null } as const] : []),
];

const ofMishaps = ({ faults: { mishaps } }: RiskFacts): RiskNoted[] =>
  mishaps.flatMap((one) => risksOfMishap(one).map((risk): RiskNoted => ({ risk, on: one.on })));

/** What the record says that makes some causes likelier, each once, in the order it is told. */
export function risksIn(facts: RiskFacts): RiskNoted[] {
  const all = [...ofMishaps(facts), ...ofPlays(facts), ...ofAir(facts), ...ofConditions(facts), ...ofCare(facts)];
  return [...new Map(all.toReversed().map((one) => [one.risk, one])).values()].reverse();
}
