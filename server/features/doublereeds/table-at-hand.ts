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
import { endBySign, partsOfReedId, type ReedBox, type ReedId, type Scrape } from '#core/reeds/reed.ts';
import { conflict, notFound, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

/** A double reed with its box, its sort and whoever plays it. */
export type DoubleReed = {
  readonly player: Player;
  readonly box: ReedBox;
  readonly number: number;
  readonly sort: ReedSort;
  /** Nobody has said how it is scraped, on its box or on an instrument. */
  readonly scrapeUnsaid: boolean;
  readonly hasEnded: boolean;
};

/** The instruments of a player of one kind that are on the shelf. */
export const instrumentsOfKind = (
  { instruments, readings }: Services,
  playerId: PlayerId,
  kind: KindId,
): readonly Instrument[] =>
  instruments
    .ofPlayer(playerId)
    .flatMap(({ id }) => readings.of(id)?.instrument ?? [])
    .filter((one) => one.kind === kind && one.leftOn === null);

/** How they are scraped for, where one of them says so. */
const scrapeOf = (instruments: readonly Instrument[]): Scrape | undefined =>
  instruments.map(({ build }) => build.scrape).find((scrape) => scrape === 'long' || scrape === 'short');

/** Whose a reed is; undefined where nobody has such a box. */
const ownerOf = ({ players, reeds }: Services, id: ReedId): Player | undefined =>
  players.all().find((one) => reeds.boxes(one.id).some(({ key }) => key === partsOfReedId(id)?.boxKey));

/** A reed by its name, where it is a double one. */
export function doubleReed(services: Services, id: ReedId): Outcome<DoubleReed, Failure> {
  const player = ownerOf(services, id);
  if (!player) return fail(notFound('reedId', { code: 'no-such-box' }));
  const parts = partsOfReedId(id);
  const { boxes, said } = services.reeds.record(player.id);
  const box = boxes.find(({ key }) => key === parts?.boxKey);
  if (!box || !parts) return fail(notFound('reedId', { code: 'no-such-box' }));
  const count = box.before.length;
  if (parts.number > count) return fail(notFound('reedId', { code: 'no-such-reed', number: parts.number, count }));
  const scrape = box.scrape ?? scrapeOf(instrumentsOfKind(services, player.id, box.kind));
  const sort = sortOf(box.kind, scrape ?? null);
  if (sort === undefined) return fail(conflict('reedId', { code: 'no-double-reed' }));
  const hasEnded = said.some(
    (one) => one.reedId === id && (one.what === 'ended' || (one.what === 'graded' && endBySign(one.signs) !== null)),
  );
  return succeed({
    player,
    box,
    number: parts.number,
    sort,
    scrapeUnsaid: scrape === undefined && box.kind === 'oboe',
    hasEnded,
  });
}

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
  const { doubleReeds, reeds } = services;
  const kinds = new Map(reeds.boxes(reed.player.id).map(({ key, kind }) => [key, kind]));
  const ofKind = doubleReeds
    .clipped(reed.player.id)
    .filter(({ key, reedId }) => key !== without && kinds.get(partsOfReedId(reedId)?.boxKey ?? '') === reed.box.kind);
  return ofKind.length === 0 ? NO_CLIPS : sumsOf(ofKind);
}

/** One examination of a reed as it stands at a moment. */
export function atHand(services: Services, reed: DoubleReed, told: ExaminationTold, nowMs: number): AtHand {
  const all = services.doubleReeds.ofReed(told.reedId);
  const at = all.findIndex(({ key }) => key === told.key);
  const setting = tableSetting({
    ...reed,
    standing: reed.player.standing,
    before: all.slice(0, at === -1 ? all.length : at),
    ofKind: clipsOfKind(services, reed, told.key),
    beganMs: told.atMs,
  });
  const examination = examinationOf(told);
  return { reed, told, examination, setting, move: nextMove(examination, setting, nowMs) };
}

/** The examination of a reed that goes on: the last one, unless it was put down long ago. */
export function goingOn({ doubleReeds }: Services, id: ReedId, nowMs: number): ExaminationTold | undefined {
  const last = doubleReeds.ofReed(id).at(-1);
  return last === undefined || isPutDown(last, nowMs) ? undefined : last;
}

/** The table at which something is said under this key. */
export function tableUnder(services: Services, examinationKey: string, nowMs: number): Outcome<AtHand, Failure> {
  const told = services.doubleReeds.of(examinationKey);
  if (!told) return fail(notFound('examinationKey', { code: 'no-such-examination' }));
  const reed = doubleReed(services, told.reedId);
  if (!reed.ok) return reed;
  if (isPutDown(told, nowMs)) return fail(conflict('examinationKey', { code: 'table-is-over' }));
  return succeed(atHand(services, reed.value, told, nowMs));
}
