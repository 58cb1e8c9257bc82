import type { ReedsOfKindView } from '#contract/reed-views.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { dayNumber, weekdayOfDay } from '#core/time/local-date.ts';
import { EVENING, type OnReeds, type Person } from '#tools/lives/person.ts';

/** How somebody practises of a day. */
type Practising = {
  readonly instrumentId: string;
  readonly minutes: number;
  /** When it ends, a minute of the day. */
  readonly endsAt?: number;
  readonly obeys: boolean;
  /** Packs up at once, with what comes along. */
  readonly packsUp?: boolean;
  /** Packs up on the way: what can wait waits. */
  readonly isAway?: boolean;
  /** Only these parts are played. */
  readonly alone?: AloneId;
};

/** What is said to be played, for so many minutes; what goes beyond is played where it is said. */
export function asSaid(
  { today }: ReedsOfKindView,
  minutes: number,
): { readonly reedId: string; readonly minutes: number }[] {
  const shares: { reedId: string; minutes: number }[] = [];
  let left = minutes;
  const take = (reedId: string, most: number): void => {
    const played = Math.min(most, left);
    if (played <= 0) return;
    const known = shares.find((one) => one.reedId === reedId);
    if (known) known.minutes += played;
    else shares.push({ reedId, minutes: played });
    left -= played;
  };
  for (const one of today.play) take(one.reedId, one.minutes);
  const last = today.beyond?.reedId ?? today.play.at(-1)?.reedId;
  if (last !== undefined) take(last, left);
  return shares;
}

/** The first reed that is alive: of whoever heeds nothing. */
function anyReed({ boxes }: ReedsOfKindView, minutes: number): OnReeds {
  const reed = boxes.flatMap(({ reeds }) => reeds).find(({ stage }) => stage !== 'retired');
  return reed === undefined ? [] : [{ reedId: reed.reedId, minutes }];
}

const onReeds = (kind: ReedsOfKindView | null, minutes: number, obeys: boolean): OnReeds =>
  kind === null ? [] : obeys ? asSaid(kind, minutes) : anyReed(kind, minutes);

/** On which reeds, and for how long on each: " on Fennel 2½ 3 40 min". */
function onWords(kind: ReedsOfKindView | null, shares: OnReeds): string {
  const names = new Map(
    kind?.boxes.flatMap(({ name, reeds }) => reeds.map((one) => [one.reedId as string, `${name} ${one.number}`])),
  );
  const on = shares.map((one) => `${names.get(one.reedId) ?? one.reedId} ${one.minutes} min`).join(', ');
  return on === '' ? '' : ` on ${on}`;
}

/** Looks at the back of a reed that may have bulged before it is played, and rubs it flat where that is asked. */
async function seesToBacks(person: Person, kind: ReedsOfKindView | null, shares: OnReeds): Promise<void> {
  for (const { reedId, name, warp } of kind?.choices ?? []) {
    if (warp === null || !shares.some((one) => one.reedId === reedId)) continue;
    person.note(`  ${name}: ${warp}`);
    await person.said(reedId, { what: 'flattened' });
    person.deeds.push({ did: 'flattened', reedId });
  }
}

/** Practises one instrument, on the reeds that are said or on any, and packs it up. */
export async function practise(
  person: Person,
  { instrumentId, minutes, endsAt = EVENING, obeys, packsUp = true, isAway = false, alone }: Practising,
): Promise<void> {
  const kind = person.instruments.get(instrumentId) as KindId;
  person.at(Math.max(0, endsAt - minutes));
  const reeds = await person.reedsOf(kind);
  for (const line of reeds?.today.words ?? []) person.note(`  ${kind}: ${line}`);
  person.at(endsAt);
  const shares = onReeds(reeds, minutes, obeys);
  if (obeys) await seesToBacks(person, reeds, shares);
  const key = await person.play(instrumentId, minutes, shares, alone);
  person.note(`  played ${instrumentId} ${minutes} min${onWords(reeds, shares)}`);
  if (!packsUp) return;
  const page = await person.care(instrumentId);
  const along = isAway ? [] : page.clocks.filter(({ goesAlong }) => goesAlong).map(({ itemId }) => itemId);
  await person.run('after', [{ instrumentId, playKey: key, itemIds: along }], { isAway });
  if (along.length > 0) person.note(`  packed up with ${along.join(', ')}`);
}

/** What is due at home and no sitting asks for another day: done in one go. */
export async function doWhatIsDue(person: Person, instrumentId: string, only?: ReadonlySet<string>): Promise<void> {
  const page = await person.care(instrumentId);
  const due = page.clocks
    .filter(({ dueAtHome, itemId }) => dueAtHome && (only === undefined || only.has(itemId)))
    .map(({ itemId }) => itemId);
  if (due.length === 0) return;
  await person.run('care', [{ instrumentId, itemIds: due }]);
  person.note(`  did what is due on ${instrumentId}: ${due.join(', ')}`);
}

/** Sits down to what the calendar has for today. */
export async function doSittingOfToday(person: Person): Promise<void> {
  const { sittings, today } = await person.calendar();
  const mine = sittings.find(({ on }) => on === today);
  if (mine === undefined) return;
  for (const instrumentId of new Set(mine.items.map((one) => one.instrumentId))) {
    const itemIds = mine.items.filter((one) => one.instrumentId === instrumentId).map(({ itemId }) => itemId);
    await person.run('care', [{ instrumentId, itemIds }]);
    person.note(`  sat down to ${instrumentId}: ${itemIds.join(', ')}`);
  }
}

/** Every living reed that is broken in and not graded yet gets a grade: every other one is for concerts. */
export async function gradeWhatIsSettled(person: Person, kind: KindId): Promise<void> {
  const page = await person.reedsOf(kind);
  for (const { reeds, name } of page?.boxes ?? [])
    for (const { reedId, stage, goodFor, number } of reeds) {
      if (stage !== 'in-rotation' || goodFor !== null) continue;
      const grade = number % 2 === 0 ? 'rehearsal' : 'concert';
      await person.said(reedId, { what: 'graded', feel: 'right', goodFor: grade });
      person.note(`  graded ${name} ${number}: ${grade}`);
    }
}

/** Is it this day of the week, Monday 0? */
export const isWeekday = (person: Person, ...days: readonly number[]): boolean =>
  days.includes(weekdayOfDay(dayNumber(person.today)));
