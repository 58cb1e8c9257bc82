import { lastDayOf } from '#core/calendar/event.ts';
import { itemIn } from '#core/book/practice.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { planRun } from '#core/packup/plan-run.ts';
import { runPartOf } from '#core/situation/run-part-of.ts';
import { routineOf, type Routine } from '#core/year/routine.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { CaseLidSheet } from '#contract/case-lid.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import { weeksOf, type Weeks } from '#server/features/calendar/sitting-weeks.ts';
import { eventViewIn } from '#server/features/calendar/sittings.views.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

/** The days of this week that are left, and of the four weeks, today among them. */
const [WEEK, MONTH] = [7, 28];

/** What every play asks for afterwards, in the order it is done. */
function everyPlay({ situation, wetness, player }: Reading, today: LocalDate): string[] {
  const now = situation(today);
  const items = now.methods.practice.items.filter(
    ({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after',
  );
  const play = { minutes: now.plays.usualMinutes, roomCelsius: now.conditions.roomCelsius };
  const part = runPartOf(now, { items: items.map(({ id }) => id), play, wetness: wetness() });
  const { steps } = planRun({ parts: [part], player, minutesAtHand: null, learned: new Map() });
  return steps
    .filter(({ step, unless }) => step.calledBy === undefined && unless.length === 0)
    .map(({ step }) => step.heading);
}

/** What is planned on the instrument between two days, by name. */
function plannedIn(
  { shown }: Weeks,
  { instrument, situation }: Reading,
  { from, to, today }: { readonly from: LocalDate; readonly to: LocalDate; readonly today: LocalDate },
): CaseLidSheet['week'] {
  const { practice } = situation(today).methods;
  return shown
    .filter(({ state, on }) => state === 'planned' && on >= from && on <= to)
    .flatMap(({ on, things }) => {
      const mine = things.filter(({ instrumentId }) => instrumentId === instrument.id);
      return mine.length === 0
        ? []
        : [{ on, names: mine.map(({ itemId }) => itemIn(practice, itemId)?.name ?? itemId) }];
    })
    .toSorted((a, b) => (a.on < b.on ? -1 : 1));
}

const routineSaid = ({
  before,
  after,
  every: { weekly, monthly, yearly },
  never,
}: Routine): CaseLidSheet['routine'] => ({
  before: [...before],
  after: [...after],
  every: { weekly: [...weekly], monthly: [...monthly], yearly: [...yearly] },
  never: [...never],
});

/** The sheet that lies in the lid of a case. */
export async function caseLidOf(
  services: Services,
  instrumentId: InstrumentId,
  today: LocalDate,
): Promise<Outcome<CaseLidSheet, Failure>> {
  const reading = services.readings.of(instrumentId);
  if (!reading || reading.instrument.leftOn !== null) return fail(noInstrument());
  const { instrument, player, situation } = reading;
  const planned = await weeksOf(services, instrument.playerId, today);
  if (!planned.ok) return planned;
  const weeks = planned.value;
  const [weekUntil, monthUntil] = [addDays(today, WEEK - 1), addDays(today, MONTH - 1)];
  const named = (from: LocalDate, to: LocalDate) => plannedIn(weeks, reading, { from, to, today });
  const { name, phone } = services.calendar.benchOf(instrument.playerId);
  const bench = [name, phone].filter((one) => one !== null).join(', ');
  const tuningHertz = services.settings.of(player.id)?.tuningHertz ?? null;
  return succeed({
    instrumentName: instrument.name,
    kindName: situation(today).kind.name,
    playerName: player.name,
    today,
    weekUntil,
    monthUntil,
    everyPlay: everyPlay(reading, today),
    week: named(today, weekUntil),
    month: named(addDays(weekUntil, 1), monthUntil),
    events: weeks.events
      .filter((event) => event.instrumentIds.includes(instrument.id))
      .filter((event) => lastDayOf(event) >= today && event.on <= monthUntil)
      .map((event) => {
        const { on, until, words } = eventViewIn(event);
        return { on, until, words };
      }),
    bench: bench === '' ? null : bench,
    routine: routineSaid(routineOf(situation(today), { player, wetness: reading.wetness(), tuningHertz })),
  });
}
