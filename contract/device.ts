import { LENGTHS, METRIC, TEMPERATURES, type Units } from '#core/explain/units.ts';

/** The header under which a device names itself: a key it made, so that all devices are served in turn. */
export const DEVICE_HEADER = 'Ulu-Device';
/** The header in which a device says in which units it reads: "fahrenheit inch". */
export const UNITS_HEADER = 'Ulu-Units';

/** The units a header names; metric where it names none. */
export function unitsIn(header: string): Units {
  const named = header.split(' ');
  return {
    temperature: TEMPERATURES.find((one) => named.includes(one)) ?? METRIC.temperature,
    length: LENGTHS.find((one) => named.includes(one)) ?? METRIC.length,
  };
}
/** What says them. */
export const unitsHeader = ({ temperature, length }: Units): string => `${temperature} ${length}`;

/** A longer name is no name. */
export const LONGEST_DEVICE_NAME = 64;
