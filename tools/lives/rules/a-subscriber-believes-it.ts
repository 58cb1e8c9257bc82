import { standingIn } from '#tools/lives/calendar-read.ts';
import type { Breach, Day, Lived, Rule, ToldEvent } from '#tools/lives/life.ts';

const DONE = 'Care of instruments, done';

/** What a calendar program finds wrong with a file, having taken in the one before. */
function wrongWith(now: readonly ToldEvent[], before: ReadonlyMap<string, ToldEvent>, { on, deeds }: Day): string[] {
  const uids = now.map(({ uid }) => uid);
  const twice = uids.filter((uid, at) => uids.indexOf(uid) !== at);
  const undid = deeds.some(({ did }) => did === 'undid' || did === 'other');
  const changed = now.flatMap((event): string[] => {
    const was = before.get(event.uid);
    if (was === undefined) return [];
    const what = `${event.summary}, ${event.on}`;
    if (event.sequence < was.sequence) return [`${what} has sequence ${event.sequence}, and had ${was.sequence}`];
    if (event.content !== was.content && event.sequence === was.sequence)
      return [`${what} has changed under the same sequence: a program keeps what it had`];
    return was.summary === DONE && event.summary !== DONE && !event.isCancelled && !undid
      ? [`${what} was done, and is planned again`]
      : [];
  });
  const there = new Set(uids);
  const lost = [...before.values()]
    .filter((event) => !event.isCancelled && event.on > on && !there.has(event.uid))
    .map(({ summary, on: day }) => `${summary}, ${day} is gone, and nobody was told`);
  return [...twice.map((uid) => `${uid} stands in it twice`), ...changed, ...lost];
}

/** What the file says and the address does not, or the other way round. */
function otherwise({ file, told }: Day['morning']): string[] {
  const [taken, subscribedTo] = [file ?? new Map<string, string>(), standingIn(told ?? [])];
  const uids = [...new Set([...taken.keys(), ...subscribedTo.keys()])];
  return uids
    .filter((uid) => taken.get(uid) !== subscribedTo.get(uid))
    .map((uid) => `the file says ${taken.get(uid)}, its address ${subscribedTo.get(uid)}`);
}

/** Takes in every file of a life, one after the other, as a program that subscribes does. */
function subscribed({ days }: Lived): Breach[] {
  const known = new Map<string, ToldEvent>();
  return days.flatMap((day) =>
    [day.morning, ...day.deeds.flatMap((deed) => (deed.did === 'undid' ? [deed.before, deed.after] : [])), day.evening]
      .filter(({ told }) => told !== null)
      .flatMap((seen) => {
        const told = seen.told ?? [];
        const wrong = [...wrongWith(told, known, day), ...otherwise(seen)];
        for (const event of told) known.set(event.uid, event);
        return wrong.map((words) => ({ on: day.on, words }));
      }),
  );
}

/** Each calendar file follows from the one before, as another program reads them. */
export const rule: Rule = {
  name: 'a-subscriber-believes-it',
  words:
    'A calendar program that subscribes is told of each change once, loses nothing, and is never told of what was done again.',
  judge: subscribed,
};
