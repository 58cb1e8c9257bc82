import type { AloneId } from '#core/instruments/alone.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { AirReading } from '#core/book/condition.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { MethodId } from '#core/book/method-ids.ts';

/** Invented: what these people do otherwise than the default. */
export const DEMO_CHOICES: readonly {
  readonly instrumentId: string;
  readonly method: MethodId;
  readonly choice: string;
}[] = [
  { instrumentId: 'marit-alto', method: 'sax-neck-storage', choice: 'sleeve-in-bell' },
  { instrumentId: 'marit-clarinet', method: 'reed-hygiene', choice: 'spray' },
  { instrumentId: 'ife-clarinet', method: 'clarinet-join-order', choice: 'from-the-bell' },
  { instrumentId: 'petra-bassoon', method: 'bocal-cleaning', choice: 'brush' },
  { instrumentId: 'teodor-oboe', method: 'oboe-join-order', choice: 'bell-lower-upper' },
];

/** Invented: what has changed for a while. Days are counted from today, those to come are negative. */
export const DEMO_CONDITIONS: readonly {
  readonly instrumentId: string;
  readonly condition: ConditionId;
  readonly beganDaysAgo: number;
  readonly part?: PartId;
  readonly alone?: AloneId;
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
  { instrumentId: 'ife-alto', condition: 'in-parts', beganDaysAgo: 8, alone: 'mouthpiece-and-neck' },
];
