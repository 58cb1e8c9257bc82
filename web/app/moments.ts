import {
  mdiBagPersonalOutline,
  mdiCalendarBlankOutline,
  mdiCalendarCheckOutline,
  mdiGrass,
  mdiContentSaveOutline,
  mdiHandWaveOutline,
  mdiStethoscope,
  mdiWrenchOutline,
} from '@mdi/js';

/**
 * The moments that exist so far, in the order of work; `key` follows `g` on the keyboard. On a phone the daily ones have a
 * place of their own.
 */
export const MOMENTS = [
  { path: 'now', name: 'Now', key: 'n', icon: mdiHandWaveOutline, isDaily: true },
  { path: 'pack-up', name: 'Pack up', key: 'p', icon: mdiBagPersonalOutline, isDaily: true },
  { path: 'care', name: 'Care', key: 'c', icon: mdiCalendarCheckOutline, isDaily: true },
  { path: 'reeds', name: 'Reeds', key: 'r', icon: mdiGrass, isDaily: true },
  { path: 'faults', name: 'Faults', key: 'f', icon: mdiStethoscope, isDaily: false },
  { path: 'bench', name: 'Bench', key: 'b', icon: mdiWrenchOutline, isDaily: false },
  { path: 'calendar', name: 'Calendar', key: 'd', icon: mdiCalendarBlankOutline, isDaily: true },
  { path: 'data', name: 'Data', key: 't', icon: mdiContentSaveOutline, isDaily: false },
] as const;
export type MomentPath = (typeof MOMENTS)[number]['path'];

/** What is no moment of the day: it has no place on the rail. */
const ASIDE: Readonly<Record<string, string>> = {
  add: 'Add an instrument',
  players: 'Players',
  settings: 'Settings',
};

/** What lives in one of the moments. */
const WITHIN: Readonly<Record<string, MomentPath>> = { 'may-i-use': 'care', 'double-reeds': 'reeds' };

/** As it is written, where it is nothing a path may hold. */
function decoded(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}

export type Place = {
  /** Null where it is none of the moments. */
  readonly moment: MomentPath | null;
  readonly name: string;
  readonly instrumentId: string | null;
};

/** The moment and instrument a path is about; the frame shows both axes from it. */
export function placeOf(pathname: string): Place {
  const [, first = '', second = ''] = pathname.split('/');
  const moment = MOMENTS.find(({ path }) => path === (WITHIN[first] ?? first));
  return {
    moment: moment?.path ?? null,
    name: moment?.name ?? ASIDE[first] ?? 'Ulu',
    instrumentId: second === '' ? null : decoded(second),
  };
}
