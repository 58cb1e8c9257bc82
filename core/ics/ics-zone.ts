import { recurred, type DayBudget } from '#core/ics/recur.ts';
import type { IcsBlock, IcsFile } from '#core/ics/read-lines.ts';
import { realWall } from '#core/time/wall-time.ts';
import { zoneOf, type Zone } from '#core/time/zone.ts';

/** From a moment on clocks are so far off. */
type Onset = { readonly ms: number; readonly offset: number; readonly before: number };

const offsetIn = (text: string | undefined): number | null => {
  const [, sign, hours = '', minutes = '', seconds = '0'] = /^([+-])(\d{2})(\d{2})(\d{2})?$/.exec(text ?? '') ?? [];
  if (sign === undefined || Number(hours) > 23 || Number(minutes) > 59 || Number(seconds) > 59) return null;
  return (sign === '-' ? -1000 : 1000) * ((Number(hours) * 60 + Number(minutes)) * 60 + Number(seconds));
};

/** The values of a line by its name, without what its parameters say. */
type Said = { readonly name: string; readonly value: string };
const saidOf = (text: string): Said => {
  const [, name = '', value = ''] = /^([A-Za-z-]+)(?:;[^:]*)?:(.*)$/s.exec(text) ?? [];
  return { name: name.toUpperCase(), value: value.trim() };
};

/** When clocks are put by one part of a zone, within what is looked at; null where it cannot be said. */
function onsetsOf(zones: readonly Said[], until: number, budget: DayBudget): Onset[] | null {
  const values = (name: string) => zones.filter((one) => one.name === name).map(({ value }) => value);
  const [offset, before] = [offsetIn(values('TZOFFSETTO')[0]), offsetIn(values('TZOFFSETFROM')[0])];
  const start = realWall((values('DTSTART')[0] ?? '').replace('T', ''));
  if (offset === null || before === null || start === null) return null;
  const added = values('RDATE').flatMap((value) => value.split(',').map((one) => realWall(one.replace('T', ''))));
  const walls = [start];
  for (const wall of added) {
    if (wall === null) return null;
    walls.push(wall);
  }
  for (const rule of values('RRULE')) {
    // Clocks are put by the year.
    if (!/FREQ=YEARLY/i.test(rule)) return null;
    const found = recurred({ start, rule, from: start, until, fromMs: (ms) => ms + before, budget });
    if (found.kind !== 'dates') return null;
    walls.push(...found.walls);
  }
  return walls.map((wall) => ({ ms: wall - before, offset, before }));
}

/** The parts of a zone, each from its BEGIN to its END. */
function partsOf({ lines }: IcsBlock): Said[][] {
  const parts: Said[][] = [];
  let open: Said[] | null = null;
  for (const one of lines.map(({ text }) => saidOf(text))) {
    if (one.name === 'BEGIN') parts.push((open = []));
    else if (one.name === 'END') open = null;
    else open?.push(one);
  }
  return parts;
}

/** What the clocks of a zone show, from when they are put; null where that is not understood. */
function shownBy(block: IcsBlock, until: number, budget: DayBudget): Zone | null {
  const found = partsOf(block).map((part) => onsetsOf(part, until, budget));
  if (found.length === 0 || found.includes(null)) return null;
  const onsets = found.flatMap((one) => one ?? []).sort((a, b) => a.ms - b.ms);
  const offsetAt = (ms: number): number => {
    let [low, high] = [0, onsets.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((onsets[middle]?.ms ?? 0) <= ms) low = middle + 1;
      else high = middle;
    }
    return onsets[low - 1]?.offset ?? onsets[0]?.before ?? 0;
  };
  return zoneOf((ms) => ms + offsetAt(ms));
}

/** Days that are looked at for all zones of a file: a century and more of each of a dozen. */
const DAYS_OF_ZONES = 400_000;

/**
 * The zones that a file brings along (RFC 5545, 3.6.5), by name; each is read when it is first asked for. Undefined where
 * there is none of that name, or it has no part or one that is not understood: its times are then of an unknown zone.
 */
export function zonesOf({ zones }: IcsFile, until: number): (name: string) => Zone | undefined {
  const budget = { days: DAYS_OF_ZONES };
  const named = ({ lines }: IcsBlock) =>
    lines.map(({ text }) => saidOf(text)).find((one) => one.name === 'TZID')?.value;
  const blocks = new Map(zones.map((block) => [named(block), block]));
  return (name) => {
    const block = blocks.get(name);
    return (block && shownBy(block, until, budget)) ?? undefined;
  };
}
