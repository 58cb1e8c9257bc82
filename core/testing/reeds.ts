import type { PlayerId } from '#core/instruments/instrument.ts';
import { reedStates, type ReedSetting, type ReedState } from '#core/reeds/reed-state.ts';
import { reedId, type ReedBox, type ReedSaid, type ReedSaying, type ReedUse } from '#core/reeds/reed.ts';
import { wallMinute } from '#core/plays/play.ts';
import { addDays, localDate, type LocalDate } from '#core/time/local-date.ts';

export const REED_TODAY = localDate('2026-11-26');
const EVENING = 1320;

/** A box of the invented maker, `before` as given: four new reeds unless it says otherwise. */
export const aBox = (over: Partial<ReedBox> = {}): ReedBox => ({
  key: 'fennel',
  playerId: 'marit' as PlayerId,
  kind: 'clarinet',
  name: 'Fennel',
  cut: null,
  strength: '2½',
  material: 'cane',
  place: null,
  cost: null,
  breakIn: 'week',
  cameOn: localDate('2026-01-01'),
  before: [0, 0, 0, 0],
  ...over,
});

/** "so many days ago" a reed of a box was played that long of an evening. */
export function used(number: number, daysAgo: number, minutes: number, over: Partial<ReedUse> = {}): ReedUse {
  const on = addDays(REED_TODAY, -daysAgo);
  return { reedId: reedId('fennel', number), on, endedAt: wallMinute(on, EVENING), minutes, high: 'none', ...over };
}
export const said = (number: number, on: LocalDate, saying: ReedSaying): ReedSaid => ({
  reedId: reedId('fennel', number),
  on,
  ...saying,
});

const USUAL: ReedSetting = { today: REED_TODAY, family: 'single' };

/** The reeds of a box today. */
export const reedsOf = (
  uses: readonly ReedUse[],
  {
    box = {},
    sayings = [],
    setting = {},
  }: { box?: Partial<ReedBox>; sayings?: readonly ReedSaid[]; setting?: Partial<ReedSetting> } = {},
): ReedState[] => reedStates({ box: aBox(box), boxName: 'Fennel 2½', uses, said: sayings }, { ...USUAL, ...setting });
