import { NO_CLIPS } from '#core/doublereeds/clip-effect.ts';
import { examinationOf, type ExaminationTold } from '#core/doublereeds/examination-noted.ts';
import type { Examination } from '#core/doublereeds/examination.ts';
import { nextMove, type Move, type TableSetting } from '#core/doublereeds/next-move.ts';
import { sortOf, type ReedSort } from '#core/doublereeds/reed-sort.ts';
import { isPutDown, sumsOf, tableSetting } from '#core/doublereeds/table-setting.ts';
import type { Instrument, PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { Player } from '#core/players/profile.ts';
import { endBySign, partsOfReedId, type ReedBox, type ReedId, type ReedSaid, type Scrape } from '#core/reeds/reed.ts';
import { conflict, notFound, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

/** A double reed with its box, its sort and whoever plays it. */
export type DoubleReed = {
  readonly player: Player;
  /** All boxes of the player: a reed is called by its box among them. */
  readonly boxes: readonly ReedBox[];
  readonly box: ReedBox;
  readonly number: number;
  readonly sort: ReedSort;
  /** Nobody has said how it is scraped, on its box or on an instrument. */
  readonly scrapeUnsaid: boolean;
  readonly hasEnded: boolean;
};

/** The instruments of a player of one kind that are on the shelf. */
export const instrumentsOfKind = ({ instruments }: Services, playerId: PlayerId, kind: KindId): readonly Instrument[] =>
  instruments
    .ofPlayer(playerId)
    .flatMap(({ id }) => instruments.find(id) ?? [])
    .filter((one) => one.kind === kind && one.leftOn === null);

/** How they are scraped for, where one of them says so. */
const scrapeOf = (instruments: readonly Instrument[]): Scrape | undefined =>
  instruments.map(({ build }) => build.scrape).find((scrape) => scrape === 'long' || scrape === 'short');

/** A reed by its name, where it is a double one. */
export function doubleReed(services: Services, id: ReedId): Outcome<DoubleReed, Failure> {
  const { reeds, players } = services;
  const parts = partsOfReedId(id);
  const owner = parts && reeds.ownerOfBox(parts.boxKey);
  const player = owner === undefined ? undefined : players.find(owner);
  const boxes = player ? reeds.boxes(player.id) : [];
  const box = boxes.find(({ key }) => key === parts?.boxKey);
  if (!player || !box || !parts) return fail(notFound('reedId', { code: 'no-such-box' }));
  const { number } = parts;
  const count = box.before.length;
  if (number > count) return fail(notFound('reedId', { code: 'no-such-reed', number, count }));
  const scrape = box.scrape ?? scrapeOf(instrumentsOfKind(services, player.id, box.kind));
  const sort = sortOf(box.kind, scrape ?? null);
  if (sort === undefined) return fail(conflict('reedId', { code: 'no-double-reed' }));
  const scrapeUnsaid = scrape === undefined && box.kind === 'oboe';
  const hasEnded = reeds.saidOfReed(id).some(endsIt);
  return succeed({ player, boxes, box, number, sort, scrapeUnsaid, hasEnded });
}
const endsIt = (said: ReedSaid): boolean =>
  said.what === 'ended' || (said.what === 'graded' && endBySign(said.signs) !== null);

/** A reed on the table: what has been said, what the record says of it, and what is next. */
export type AtHand = {
  readonly reed: DoubleReed;
  readonly told: ExaminationTold;
  readonly examination: Examination;
  readonly setting: TableSetting;
  readonly move: Move;
};

/** What the clips of a player say of reeds of a kind, without one examination. */
function clipsOfKind(services: Services, reed: DoubleReed, without: string) {
  const { doubleReeds } = services;
  const kinds = new Map(reed.boxes.map(({ key, kind }) => [key, kind]));
  const ofKind = doubleReeds
    .clipped(reed.player.id)
    .filter(({ key, reedId }) => key !== without && kinds.get(partsOfReedId(reedId)?.boxKey ?? '') === reed.box.kind);
  return ofKind.length === 0 ? NO_CLIPS : sumsOf(ofKind);
}

/** One examination of a reed as it stands at a moment. */
export function atHand(
  services: Services,
  reed: DoubleReed,
  {
    told,
    before,
    nowMs,
  }: { readonly told: ExaminationTold; readonly before: readonly ExaminationTold[]; readonly nowMs: number },
): AtHand {
  const setting = tableSetting({
    ...reed,
    standing: reed.player.standing,
    before,
    ofKind: () => clipsOfKind(services, reed, told.key),
    beganMs: told.atMs,
  });
  const examination = examinationOf(told);
  return { reed, told, examination, setting, move: nextMove(examination, setting, nowMs) };
}

/** The examinations of a reed: the one that goes on, unless it was put down long ago, and those before it. */
export function examinationsOf({ doubleReeds }: Services, id: ReedId, nowMs: number) {
  const all = doubleReeds.ofReed(id);
  const last = all.at(-1);
  const goesOn = last !== undefined && !isPutDown(last, nowMs);
  return { going: goesOn ? last : undefined, before: goesOn ? all.slice(0, -1) : all };
}

/** The table at which something is said under this key. */
export function tableUnder(services: Services, examinationKey: string, nowMs: number): Outcome<AtHand, Failure> {
  const told = services.doubleReeds.of(examinationKey);
  if (!told) return fail(notFound('examinationKey', { code: 'no-such-examination' }));
  const reed = doubleReed(services, told.reedId);
  if (!reed.ok) return reed;
  if (isPutDown(told, nowMs)) return fail(conflict('examinationKey', { code: 'table-is-over' }));
  const all = services.doubleReeds.ofReed(told.reedId);
  const before = all.slice(
    0,
    all.findIndex(({ key }) => key === told.key),
  );
  return succeed(atHand(services, reed.value, { told, before, nowMs }));
}
