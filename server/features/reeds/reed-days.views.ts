import { listed } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { addDays } from '#core/time/local-date.ts';
import type { ReedDaysView } from '#contract/reed-views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { reedPlanOf, type PlanWait } from '#server/features/reeds/reed-plan.views.ts';
import { reedsOf, supplyOfKind, type OfKind } from '#server/features/reeds/reeds-of-kind.ts';
import type { Services } from '#server/services.ts';

type Asked = { readonly playerId: PlayerId; readonly now: WallClock; readonly wait: PlanWait };
/** Which instruments a day is for. */
const whoseOf = ({ kind, instruments }: OfKind) => ({
  kind,
  instrumentIds: instruments.map(({ instrument }) => instrument.id),
  name: listed(instruments.map(({ instrument }) => instrument.name)),
});

/** Days on which a reed of this kind is broken in, by the plan of the reeds; none where no reed is. */
async function breakInDays(
  services: Services,
  ofKind: OfKind,
  { playerId, now, wait }: Asked,
): Promise<ReedDaysView['breakIn']> {
  if (!ofKind.reeds.some(({ stage }) => stage === 'breaking-in')) return [];
  const plan = await reedPlanOf(services, playerId, { kind: ofKind.kind, now, wait });
  if (!plan.ok) return [];
  const { rows, today, expected } = plan.value;
  return expected.flatMap((_, day) => {
    const mine = rows.filter(({ caps }) => (caps[day] ?? null) !== null);
    if (mine.length === 0) return [];
    const told = mine.map(({ boxName, number, planned }) => `${boxName}, reed ${number}, ${planned[day] ?? 0} min`);
    return [{ ...whoseOf(ofKind), on: addDays(today, day), words: `${told.join('; ')}.` }];
  });
}

/** The day on which reeds of this kind are to be bought, where it lies in the weeks to come. */
function buyDay(ofKind: OfKind, { now }: Asked): ReedDaysView['buy'] {
  if (ofKind.reeds.length === 0) return [];
  const { buyOn } = supplyOfKind(ofKind, now.on);
  if (buyOn === null || buyOn > addDays(now.on, SITTING_DAYS - 1)) return [];
  const on = buyOn < now.on ? now.on : buyOn;
  const whose = whoseOf(ofKind);
  return [
    { ...whose, on, words: `Order reeds for ${whose.name}, so that they are there before those in hand are spent.` },
  ];
}

/** Days of the weeks to come that belong to reeds: breaking in, and ordering new ones. */
export async function reedDaysOf(
  services: Services,
  playerId: PlayerId,
  now: WallClock,
  wait: PlanWait = 'soon',
): Promise<Outcome<ReedDaysView, Failure>> {
  if (!services.players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const asked = { playerId, now, wait };
  const kinds = reedsOf(services, playerId, now.on);
  const breakIn: ReedDaysView['breakIn'] = [];
  for (const ofKind of kinds) breakIn.push(...(await breakInDays(services, ofKind, asked)));
  return succeed({ breakIn, buy: kinds.flatMap((ofKind) => buyDay(ofKind, asked)) });
}
