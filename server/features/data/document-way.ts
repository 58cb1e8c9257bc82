import { randomUUID } from 'node:crypto';
import { PLAYER_ALIAS } from '#core/data/player-alias.ts';
import { documentLines, heldSentence, takenWords } from '#core/data/incoming-words.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { TakeRequest } from '#contract/data.ts';
import { copyNow } from '#server/backup/kept-copies.ts';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';
import type { Db } from '#server/db/connection.ts';
import { keptAliases } from '#server/features/data/aliases.repository.ts';
import { writingBeside } from '#server/features/data/beside.ts';
import { importDocument } from '#server/features/data/import-document.ts';
import { clearScratch } from '#server/features/data/in-a-copy.ts';
import { lookAtDocument, type NewPlayer } from '#server/features/data/look-at-document.ts';
import type { AtHand, Way } from '#server/features/data/way.ts';
import { createRecord } from '#server/record/record.repository.ts';

const sameName = (one: string, other: string): boolean => one.trim().toLowerCase() === other.trim().toLowerCase();

/** Who a player of another record seems to be here: whoever has the same name. */
const seeming = (players: readonly NewPlayer[], here: readonly { readonly id: PlayerId; readonly name: string }[]) =>
  players.map((one) => ({ ...one, seemsToBe: here.find(({ name }) => sameName(name, one.name))?.id ?? null }));

/** Keeps for good who players of another record are here. @throws CopyRefusal where somebody is not here */
function keepAliases(
  db: Db,
  { definitions, nowMs }: Pick<AtHand, 'definitions' | 'nowMs'>,
  { players, today }: TakeRequest,
): void {
  const record = createRecord(db, definitions);
  for (const { playerId: otherId, isHere: playerId } of players) {
    if (record.find(`player/${playerId}`) === undefined)
      throw new CopyRefusal('A player you have chosen is not in your record any more. Bring the file in again.');
    record.append([
      {
        key: randomUUID(),
        kind: PLAYER_ALIAS,
        on: today as LocalDate,
        atMinute: null,
        loggedAt: instantOfMs(nowMs()),
        corrects: null,
        belongsTo: null,
        body: { otherId, playerId },
      },
    ]);
  }
}

/** A record as an open document: what is new of it comes beside what is here. */
export const documentWay: Way = {
  look: async (at) => {
    const { client, db } = at.record.database();
    const looked = await lookAtDocument(at.file, client, at.beside, { ...at, aliases: keptAliases(db) });
    const { imported, before, after, players, instruments } = looked;
    const here = at.record.serve().players.all();
    const preview = {
      holds: `With it your record holds ${heldSentence(after, at.format)}. Now it holds ${heldSentence(before, at.format)}.`,
      lines: documentLines(imported, { instruments }),
      players: seeming(players, here),
      isWorthIt: imported.taken > 0,
      table: null,
    };
    return { preview };
  },
  take: async (at, request) => {
    const { record, file } = at;
    const { client } = record.database();
    await copyNow(client, record.folders, at.today);
    at.stop.throwIfAborted();
    const { taken } = await writingBeside(client.name, (beside) => {
      keepAliases(beside.db, at, request);
      return importDocument(file, beside, { ...at, aliases: keptAliases(beside.db) });
    });
    // Whatever was read before stands under facts that have others beside them now: everything is read anew.
    record.change(() => undefined);
    return takenWords(taken);
  },
  clear: clearScratch,
};
