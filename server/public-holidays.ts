import { createRequire } from 'node:module';
import type HolidaysType from 'date-holidays';
import type { RegionList } from '#contract/bench.ts';
import { dayNumber, parseLocalDate } from '#core/time/local-date.ts';

/** Loaded when somebody has set a region, and not before: its tables are large. */
let loaded: typeof HolidaysType | undefined;
function holidays(): typeof HolidaysType {
  loaded ??= createRequire(import.meta.url)('date-holidays') as typeof HolidaysType;
  return loaded;
}

/** "DE-BY" is Bavaria in Germany. */
const apart = (region: string): readonly [country: string, state?: string] => {
  const [, country = region, state] = /^([^-]*)-(.*)$/.exec(region) ?? [];
  return state === undefined ? [country] : [country, state];
};

const MS_PER_DAY = 86_400_000;

let regions: RegionList | undefined;
/** Where public holidays are known: countries, and the parts of those whose parts differ, by name. */
export function knownRegions(): RegionList {
  if (regions !== undefined) return regions;
  const table = new (holidays())();
  regions = Object.entries(table.getCountries('en') ?? {})
    .flatMap(([country, name]) => [
      { region: country, name },
      ...Object.entries(table.getStates(country, 'en') ?? {}).map(([state, part]) => ({
        region: `${country}-${state}`,
        name: `${name}: ${part}`,
      })),
    ])
    .toSorted((a, b) => a.name.localeCompare(b.name, 'en'));
  return regions;
}

export const isRegion = (region: string): boolean => knownRegions().some((one) => one.region === region);

const known = new Map<string, ReadonlyMap<number, string>>();
/** More would be a record of benches all over the world. */
const MOST_KNOWN = 60;

/**
 * The public holidays of a region in a year and the next, by the number of the day, with their names. None where no region
 * is set, or one that is not known any more: nothing is assumed.
 */
export function publicHolidays(region: string | null, year: number): ReadonlyMap<number, string> {
  if (region === null) return new Map();
  const name = `${region} ${year}`;
  const before = known.get(name);
  if (before !== undefined) return before;
  const [country, state] = apart(region);
  const table = state === undefined ? new (holidays())(country) : new (holidays())(country, state);
  const found = [year, year + 1].flatMap((one) =>
    table.getHolidays(one, 'en').flatMap(({ date, start, end, type, name: called }) => {
      const first = parseLocalDate(date.slice(0, 10));
      if (type !== 'public' || first === undefined) return [];
      const days = Math.max(1, Math.round((end.getTime() - start.getTime()) / MS_PER_DAY));
      return Array.from({ length: days }, (_, at) => [dayNumber(first) + at, called] as const);
    }),
  );
  if (known.size >= MOST_KNOWN) known.clear();
  const made = new Map(found.toSorted(([a], [b]) => a - b));
  known.set(name, made);
  return made;
}
