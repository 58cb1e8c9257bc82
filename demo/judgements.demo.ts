import type { ConditionId } from '#core/conditions/condition-ids.ts';
import type { AirReading } from '#core/conditions/condition.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { SchoolId } from '#core/schools/school-ids.ts';

/** Invented: what these people do otherwise than the default. */
export const DEMO_CHOICES: readonly {
  readonly instrumentId: string;
  readonly school: SchoolId;
  readonly choice: string;
}[] = [
  { instrumentId: 'marit-alto', school: 'sax-neck-storage', choice: 'sleeve-in-bell' },
  { instrumentId: 'marit-clarinet', school: 'reed-hygiene', choice: 'spray' },
  { instrumentId: 'ife-clarinet', school: 'clarinet-join-order', choice: 'from-the-bell' },
  { instrumentId: 'petra-bassoon', school: 'bocal-cleaning', choice: 'brush' },
  { instrumentId: 'teodor-oboe', school: 'oboe-join-order', choice: 'bell-lower-upper' },
];

/** Invented: what has changed for a while. Days are counted from today, those to come are negative. */
export const DEMO_CONDITIONS: readonly {
  readonly instrumentId: string;
  readonly condition: ConditionId;
  readonly beganDaysAgo: number;
  readonly part?: PartId;
  readonly air?: AirReading;
}[] = [
  {
    instrumentId: 'marit-clarinet',
    condition: 'dry-air',
    beganDaysAgo: 4,
    air: { celsius: 21.5, humidityPercent: 31 },
  },
  { instrumentId: 'ife-clarinet', condition: 'new-cork', beganDaysAgo: 5, part: 'lower-joint' },
  { instrumentId: 'lucan-tuba', condition: 'long-rest', beganDaysAgo: -6 },
];
