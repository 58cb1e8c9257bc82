import {
  mdiBagPersonalOutline,
  mdiCalendarBlankOutline,
  mdiCalendarCheckOutline,
  mdiGrass,
  mdiContentSaveOutline,
  mdiHandWaveOutline,
  mdiStethoscope,
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
  { path: 'calendar', name: 'Calendar', key: 'd', icon: mdiCalendarBlankOutline, isDaily: true },
  { path: 'data', name: 'Data', key: 't', icon: mdiContentSaveOutline, isDaily: false },
] as const;
export type MomentPath = (typeof MOMENTS)[number]['path'];

/** The moment and instrument a path is about; the frame shows both axes from it. */
export function placeOf(pathname: string): { moment: MomentPath; instrumentId: string | null } {
  const [, first = '', second = ''] = pathname.split('/');
  // "May I use" lives in Care.
  const moment = MOMENTS.find(({ path }) => path === (first === 'may-i-use' ? 'care' : first))?.path ?? 'now';
  return { moment, instrumentId: second === '' ? null : decodeURIComponent(second) };
}
