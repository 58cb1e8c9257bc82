import { LENGTHS, TEMPERATURES, type Units } from '#core/explain/units.ts';
import { fieldOf } from '#core/record/fact.ts';
import { REMEMBERED, remember, remembered } from '#web/session/stored.ts';

export const TEXT_SIZES = ['usual', 'larger', 'largest'] as const;
/** What this device has been told; null: as its browser says. */
export type Settings = {
  /** How days and numbers are written (BCP 47). */
  readonly region: string | null;
  /** The first day of a week, Monday 0. */
  readonly firstDay: number | null;
  readonly temperature: Units['temperature'] | null;
  readonly length: Units['length'] | null;
  readonly textSize: (typeof TEXT_SIZES)[number];
};
export const AS_THE_BROWSER: Settings = {
  region: null,
  firstDay: null,
  temperature: null,
  length: null,
  textSize: 'usual',
};

const among = <Value>(values: readonly Value[], value: unknown): Value | null =>
  values.find((one) => one === value) ?? null;

function stored(): unknown {
  try {
    return JSON.parse(remembered(REMEMBERED.settings) ?? 'null') as unknown;
  } catch {
    return null;
  }
}

const DAYS_A_WEEK = 7;

/** What this device has been told, as far as it makes sense. */
export function settings(): Settings {
  const said = stored();
  const [region, firstDay] = [fieldOf(said, 'region'), fieldOf(said, 'firstDay')];
  return {
    region: typeof region === 'string' ? region : null,
    firstDay: typeof firstDay === 'number' && firstDay >= 0 && firstDay < DAYS_A_WEEK ? Math.floor(firstDay) : null,
    temperature: among(TEMPERATURES, fieldOf(said, 'temperature')),
    length: among(LENGTHS, fieldOf(said, 'length')),
    textSize: among(TEXT_SIZES, fieldOf(said, 'textSize')) ?? 'usual',
  };
}

/** Where degrees are Fahrenheit, and lengths inches, by ISO 3166 (CLDR, measurement systems). */
const FAHRENHEIT_IN: readonly string[] = ['US', 'BS', 'BZ', 'KY', 'PW', 'PR', 'GU', 'VI', 'FM', 'MH', 'LR'];
const INCHES_IN: readonly string[] = ['US', 'PR', 'GU', 'VI', 'LR', 'MM'];
/** Where a week begins on Sunday or Saturday (CLDR, week data), as far as the browser does not say. */
const SUNDAY_IN: readonly string[] = [
  'US',
  'CA',
  'MX',
  'BR',
  'JP',
  'KR',
  'TW',
  'HK',
  'IN',
  'IL',
  'ZA',
  'PH',
  'CO',
  'PE',
];
const [SUNDAY, SATURDAY] = [6, 5];
const SATURDAY_IN: readonly string[] = ['EG', 'AE', 'DZ', 'IR', 'IQ', 'JO', 'KW', 'QA', 'SY'];

/** The language region that is written in: what was chosen, else the browser's. */
export const language = (): string => settings().region ?? globalThis.navigator?.language ?? 'en-GB';

function territory(): string {
  try {
    return new Intl.Locale(language()).maximize().region ?? '';
  } catch {
    return '';
  }
}

/** The units that are read and typed in: what was chosen, else those of the region. */
export function units(): Units {
  const { temperature, length } = settings();
  const region = territory();
  return {
    temperature: temperature ?? (FAHRENHEIT_IN.includes(region) ? 'fahrenheit' : 'celsius'),
    length: length ?? (INCHES_IN.includes(region) ? 'inch' : 'mm'),
  };
}

/** The first day of a week, Monday 0: what was chosen, else that of the region. */
export function firstDayOfWeek(): number {
  const region = territory();
  const usual = SUNDAY_IN.includes(region) ? SUNDAY : SATURDAY_IN.includes(region) ? SATURDAY : 0;
  return settings().firstDay ?? usual;
}

/** Keeps what this device is told. Whatever is shown was written before: the page is read anew. */
export function keepSettings(next: Settings): void {
  remember(REMEMBERED.settings, JSON.stringify(next));
  window.location.reload();
}
