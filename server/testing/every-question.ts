import { agentPaths } from '#contract/agents.ts';
import { airPaths } from '#contract/air.ts';
import { benchPaths } from '#contract/bench.ts';
import { calendarPaths } from '#contract/calendar.ts';
import { carePaths } from '#contract/care.ts';
import { caseLidPaths } from '#contract/case-lid.ts';
import { dataPaths } from '#contract/data.ts';
import { faultPaths } from '#contract/faults.ts';
import { breakPaths } from '#contract/breaks.ts';
import { conditionPaths } from '#contract/conditions.ts';
import { costPaths } from '#contract/costs.ts';
import { inspectionPaths } from '#contract/inspections.ts';
import { doubleReedPaths } from '#contract/doublereeds.ts';
import { healthPath } from '#contract/health.ts';
import { instrumentPaths } from '#contract/instruments.ts';
import { methodPaths } from '#contract/methods.ts';
import { packupPaths } from '#contract/packup.ts';
import { playerPaths } from '#contract/players.ts';
import { recordPaths } from '#contract/record.ts';
import { reedPaths } from '#contract/reeds.ts';
import { ribbonPaths } from '#contract/ribbon.ts';
import { sittingPaths } from '#contract/sittings.ts';
import { settingsPaths } from '#contract/settings.ts';
import { todayPaths } from '#contract/today.ts';
import type { WallClock } from '#core/plays/play.ts';

/** Who asks, of what, and when. */
export type Asker = {
  readonly playerId: string;
  readonly instrumentId: string;
  readonly runKey: string;
  /** Of the player's calendar feed. */
  readonly secret: string;
  /** Lines of the record. */
  readonly lines: number;
  /** A copy of the record, and a file that was brought in, by their names. */
  readonly copy: string;
  readonly incoming: string;
  /** A double reed of theirs. */
  readonly reedId: string;
  /** An instrument with a double reed. */
  readonly oboe: string;
  readonly now: WallClock;
};

/** What is asked in the room of the bench. */
const ofTheBench = ({ playerId, instrumentId, now: { on: today } }: Asker): Readonly<Record<string, string>> => ({
  '/api/inspections/:instrumentId': inspectionPaths.page(instrumentId, today),
  [benchPaths.ticketRoute]: benchPaths.ticket(instrumentId, today),
  [benchPaths.yearRoute]: benchPaths.year(instrumentId, today),
  [costPaths.read]: costPaths.page(playerId, today),
});

/** A question to each route that is read, by its route: what is there to be asked, asked once. */
export const everyQuestion = (asker: Asker): Readonly<Record<string, string>> => {
  const { playerId, instrumentId, runKey, secret, lines, copy, incoming, reedId, oboe, now } = asker;
  const today = now.on;
  const [agent, other] = ['cork-grease', 'bore-oil'];
  return {
    ...ofTheBench(asker),
    [healthPath]: healthPath,
    [playerPaths.list]: playerPaths.list,
    [instrumentPaths.kinds]: instrumentPaths.kinds,
    [instrumentPaths.add]: instrumentPaths.shelf(today),
    [carePaths.log]: carePaths.overview(today),
    [todayPaths.list]: todayPaths.of(playerId, now),
    [`${carePaths.log}/:instrumentId`]: carePaths.page(instrumentId, today),
    [packupPaths.one(':key')]: packupPaths.one(runKey),
    [methodPaths.setSchema]: methodPaths.setSchema,
    '/api/methods/:instrumentId': methodPaths.page(instrumentId, today),
    '/api/methods/:instrumentId/set': methodPaths.set(instrumentId, 'Mine', today),
    '/api/breaks/:instrumentId': breakPaths.one(instrumentId, today),
    '/api/conditions/:instrumentId': conditionPaths.page(instrumentId, today),
    '/api/faults/:instrumentId': faultPaths.page(instrumentId, today, 'sure', playerId),
    '/api/faults/:instrumentId/book': faultPaths.book(instrumentId, today),
    [agentPaths.list]: agentPaths.list,
    '/api/agents/:agentId/verdicts/:instrumentId': agentPaths.verdicts(agent, instrumentId, today),
    [agentPaths.anywhere(':agentId')]: agentPaths.anywhere(agent),
    [agentPaths.mixing(':one', ':other')]: agentPaths.mixing(agent, other),
    [reedPaths.page]: reedPaths.of(playerId, now),
    [doubleReedPaths.table]: doubleReedPaths.tableOf(reedId, today),
    [doubleReedPaths.choose]: doubleReedPaths.chooseOf(oboe, today),
    [doubleReedPaths.card]: doubleReedPaths.cardOf(reedId, today),
    [reedPaths.days]: reedPaths.daysOf(playerId, now),
    [reedPaths.readiness]: `${reedPaths.readiness}?playerId=${playerId}&kind=clarinet&on=${today}&wanted=1&today=${today}`,
    [reedPaths.run]: `${reedPaths.run}?runKey=${runKey}&today=${today}&atMinute=${now.atMinute}`,
    [reedPaths.plan]: `${reedPaths.plan}?playerId=${playerId}&kind=clarinet&today=${today}&atMinute=${now.atMinute}`,
    [settingsPaths.page]: settingsPaths.of(playerId),
    [airPaths.page]: airPaths.of(playerId, today),
    [calendarPaths.events]: calendarPaths.of(playerId, today),
    [sittingPaths.plan]: sittingPaths.of(playerId, today),
    [ribbonPaths.all]: ribbonPaths.of(today),
    [caseLidPaths.sheet]: caseLidPaths.of(instrumentId, today),
    [benchPaths.page]: benchPaths.of(playerId, today),
    [benchPaths.regions]: benchPaths.regions,
    [sittingPaths.file]: sittingPaths.fileOf(playerId, today),
    [sittingPaths.feed]: sittingPaths.feedOf(playerId),
    [sittingPaths.subscribed]: sittingPaths.subscribed.replace(':secret', secret),
    [dataPaths.page]: `${dataPaths.page}?today=${today}`,
    [dataPaths.copy(':name')]: dataPaths.copy(copy),
    [dataPaths.playsTable]: dataPaths.cut(dataPaths.playsTable, 'comma'),
    [dataPaths.careTable]: dataPaths.cut(dataPaths.careTable, 'comma'),
    [dataPaths.record]: dataPaths.record,
    [dataPaths.schema]: dataPaths.schema,
    [dataPaths.history(':instrumentId')]: dataPaths.history(instrumentId),
    [dataPaths.one(':id')]: dataPaths.one(incoming),
    '/api/record/:instrumentId': recordPaths.of(instrumentId, lines),
  };
};
