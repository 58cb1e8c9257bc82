import type { Instrument } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { barredChoice, isAsked } from '#core/schools/chosen-school.ts';
import type { SchoolSet } from '#core/schools/school-set-format.ts';
import { readSet, schoolSetOf } from '#core/schools/school-set.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { localDate, type LocalDate } from '#core/time/local-date.ts';
import type { ChooseSchoolRequest, ReadSetRequest, SetReading, TakeSetRequest } from '#contract/schools.ts';
import { conflict, invalid, notFound, saysTheSame, type Failure, type Logged } from '#server/failure.ts';
import type { Services } from '#server/repositories.ts';
import { situationIn } from '#server/situations.ts';
import { playersClock } from '#server/wall-clock.ts';

type Choosing = { readonly instrument: Instrument; readonly now: WallClock };

function choosingOn(
  { instruments, nowMs }: Services,
  { instrumentId, now }: { readonly instrumentId: string; readonly now: { on: string; atMinute: number } },
): Outcome<Choosing, Failure> {
  const clock = playersClock(now, nowMs());
  if (!clock.ok) return clock;
  const instrument = instruments.find(instrumentId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  if (instrument.leftOn !== null)
    return fail(conflict('instrumentId', 'It is no longer on the shelf. Put it back first.'));
  return succeed({ instrument, now: clock.value });
}

const takenBack = (): Failure => conflict('key', 'This choice was taken back. Make it anew.');

/** Records how somebody does it where practice differs; null goes back to the default. */
export function chooseSchool(
  services: Services,
  request: ChooseSchoolRequest,
): Outcome<Logged<{ key: string }>, Failure> {
  const { schools, record, nowMs } = services;
  const { now: _now, ...chosen } = request;
  const view = { key: request.key };
  const known = schools.find(request.key);
  if (known) {
    if (record.withdrawalOf(known.key)) return fail(takenBack());
    return saysTheSame(chosen, known)
      ? succeed({ view, created: false })
      : fail(conflict('key', 'Another entry has this key.'));
  }
  const choosing = choosingOn(services, request);
  if (!choosing.ok) return choosing;
  const { instrument, now } = choosing.value;
  if (!isAsked(request.school, instrument.kind, instrument.build))
    return fail(invalid('school', 'This question is not asked about an instrument of this kind and build.'));
  const { choices, context } = situationIn(services, instrument, now.on);
  const barred = request.choice === null ? null : barredChoice(request.school, request.choice, choices, context);
  if (barred !== null) return fail(invalid('choice', `It cannot be had here: ${barred}.`));
  schools.add({ ...chosen, chosenOn: now.on, sourceKey: null, loggedAt: instantOfMs(nowMs()) });
  return succeed({ view, created: true });
}

/** The player's own choices on an instrument as a file to give away. */
export function schoolSetFor(
  services: Services,
  instrumentId: string,
  name: string,
  today: LocalDate,
): Outcome<SchoolSet, Failure> {
  const instrument = services.instruments.find(instrumentId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  const set = schoolSetOf(name, situationIn(services, instrument, today));
  if (Object.keys(set.choices).length === 0)
    return fail(conflict('instrumentId', 'Nothing has been chosen on it yet; every question follows its default.'));
  return succeed(set);
}

/** What a set would do to an instrument; nothing is changed. */
export function readSetFor(
  services: Services,
  { instrumentId, set, today }: ReadSetRequest,
): Outcome<SetReading, Failure> {
  const instrument = services.instruments.find(instrumentId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  const lines = readSet(set, situationIn(services, instrument, localDate(today)));
  return succeed({ name: set.name, kind: set.kind, otherKind: set.kind !== instrument.kind, lines });
}

/** Takes what of a set is for this instrument, all of it or nothing; taking the set back takes its choices back. */
export function takeSet(
  services: Services,
  request: TakeSetRequest,
): Outcome<Logged<{ key: string; taken: number }>, Failure> {
  const { schools, record, nowMs } = services;
  const { key, instrumentId, set } = request;
  const known = schools.findSet(key);
  if (known) {
    if (record.withdrawalOf(key)) return fail(takenBack());
    return saysTheSame({ instrumentId, name: set.name }, known)
      ? succeed({ view: { key, taken: 0 }, created: false })
      : fail(conflict('key', 'Another entry has this key.'));
  }
  const choosing = choosingOn(services, request);
  if (!choosing.ok) return choosing;
  const { instrument, now } = choosing.value;
  const lines = readSet(set, situationIn(services, instrument, now.on)).filter(({ verdict }) => verdict === 'new');
  if (lines.length === 0) return fail(conflict('set', 'Nothing in this set would change this instrument.'));
  const loggedAt = instantOfMs(nowMs());
  services.atOnce(() => {
    schools.addSet({ key, instrumentId, name: set.name, takenOn: now.on, loggedAt });
    for (const { school, choice } of lines)
      schools.add({
        key: `${key}/${school}`,
        instrumentId,
        school,
        choice,
        chosenOn: now.on,
        sourceKey: key,
        loggedAt,
      });
  });
  return succeed({ view: { key, taken: lines.length }, created: true });
}
