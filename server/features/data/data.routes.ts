import { Router, type Request, type Response } from 'express';
import { createReadStream, existsSync, statSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { copyAgeWords, heldSentence, isOldCopy, noCopiesFolderWords, sizeWords } from '#core/data/incoming-words.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import {
  copyNowRequest,
  dataPaths,
  dataQuery,
  endRequest,
  incomingQuery,
  tableReading,
  tableQuery,
  takeRequest,
  type CopyView,
  type DataView,
} from '#contract/data.ts';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';
import { dayHere } from '#server/backup/daily-copies.ts';
import { copyNow, keptCopies, type KeptCopy } from '#server/backup/kept-copies.ts';
import type { IncomingFiles } from '#server/features/data/incoming.ts';
import { recordSchema } from '#server/features/data/record-schema.ts';
import { careRows, playRows, writtenTable } from '#server/features/data/write-table.ts';
import { writtenHistory, writtenRecord } from '#server/features/data/write-document.ts';
import { conflict, noInstrument, notFound } from '#server/failure.ts';
import { bodyOf, param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';
import { sendFailure } from '#server/http/problem.ts';
import type { HeldRecord } from '#server/held-record.ts';
import { withdrawalDefinition } from '#server/record/withdrawal.fact.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type RecordFiles = {
  readonly record: HeldRecord;
  readonly incoming: IncomingFiles;
  readonly definitions: readonly AnyFact<Services>[];
  readonly nowMs: () => number;
};

/** A day's file, to be kept under its name. */
function asFile(res: Response, name: string, type: string): void {
  res.setHeader('Content-Type', type);
  res.setHeader('Content-Disposition', `attachment; filename="${name}"`);
}

/** Sends text as it comes; whoever leaves ends it. */
const stream = (res: Response, pieces: AsyncGenerator<string>): Promise<void> =>
  pipeline(Readable.from(pieces), res).catch(() => void res.destroy());

const copyNamed = ({ folders }: HeldRecord, name: string): KeptCopy | undefined =>
  keptCopies(folders).find(({ file }) => path.basename(file) === name);

/** The copies, the newest first; null where their folder cannot be reached, on a disk that is not there. */
function copiesIn({ folders }: HeldRecord): KeptCopy[] | null {
  try {
    return keptCopies(folders).toReversed();
  } catch {
    return null;
  }
}

function viewOf({ record, incoming }: RecordFiles, today: LocalDate, { format }: Services): DataView {
  const copies = copiesIn(record);
  const newest = copies?.[0]?.on ?? null;
  const { copiesFolder } = record.folders;
  return {
    folder: record.folder,
    copiesFolder,
    copies: (copies ?? []).map(({ file, on }): CopyView => ({
      name: path.basename(file),
      on,
      words: `${format.date(on)}, ${sizeWords(statSync(file).size, format)}`,
    })),
    age: copies === null ? noCopiesFolderWords(copiesFolder) : copyAgeWords(newest, today),
    isOld: isOldCopy(newest, today),
    incoming: incoming.current(),
  };
}

/** The record as files: copies of it, the whole as an open document, one instrument's history. */
function outRoutes(services: Serving, files: RecordFiles): Router {
  const { record, definitions, nowMs } = files;
  const router = Router();
  router.get(dataPaths.page, (req, res) => {
    const [asked, { today }] = [services(req), queryOf(dataQuery, req)];
    res.json(viewOf(files, today, asked));
  });
  router.post(dataPaths.copies, async (req, res) => {
    const asked = services(req);
    bodyOf(copyNowRequest, req);
    try {
      // The days of copies are this machine's, that keeps them.
      const { held, copy } = await copyNow(record.database().client, record.folders, dayHere(nowMs()));
      const size = sizeWords(statSync(copy.file).size, asked.format);
      res.status(201).json({
        name: path.basename(copy.file),
        words: `The copy is whole: ${heldSentence(held, asked.format)}. It takes ${size}.`,
      });
    } catch (error) {
      if (!(error instanceof CopyRefusal)) throw error;
      sendFailure(res, conflict('', { code: 'no-copy', why: error.message }));
    }
  });
  router.get(dataPaths.copy(':name'), (req, res) => {
    services(req);
    const copy = copyNamed(record, param(req, 'name'));
    if (copy === undefined) return sendFailure(res, notFound('name', { code: 'no-such-copy' }));
    asFile(res, path.basename(copy.file), 'application/gzip');
    return res.sendFile(path.basename(copy.file), { root: record.folders.copiesFolder });
  });
  for (const [at, rows] of [
    [dataPaths.playsTable, playRows],
    [dataPaths.careTable, careRows],
  ] as const)
    router.get(at, async (req, res) => {
      const asked = services(req);
      const { delimiter } = queryOf(tableQuery, req);
      const name = path.basename(at, '.csv');
      asFile(res, `ulu-${name}-${dayHere(nowMs())}.csv`, 'text/csv; charset=utf-8');
      await stream(res, writtenTable(record.database().client.name, delimiter, asked, rows));
    });
  router.get(dataPaths.schema, (req, res) => {
    services(req);
    res.json(recordSchema([...definitions, withdrawalDefinition]));
  });
  router.get(dataPaths.record, async (req, res) => {
    services(req);
    asFile(res, `ulu-record-${dayHere(nowMs())}.json`, 'application/json; charset=utf-8');
    await stream(res, writtenRecord(record.database().client.name, definitions));
  });
  router.get(dataPaths.history(':instrumentId'), async (req, res) => {
    const asked = services(req);
    const instrumentId = param(req, 'instrumentId');
    const name = asked.instruments.nameOf(instrumentId);
    if (name === undefined) return sendFailure(res, noInstrument());
    const plain = name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');
    asFile(res, `ulu-${plain}-${dayHere(nowMs())}.json`, 'application/json; charset=utf-8');
    return await stream(res, writtenHistory(record.database().client.name, definitions, instrumentId));
  });
  return router;
}

/** Files that are brought in: received, looked at, taken in, or let go. */
function inRoutes(services: Serving, { record, incoming, nowMs }: RecordFiles): Router {
  const router = Router();
  const gone = () => notFound('id', { code: 'nothing-brought-in' });
  const receive = async (req: Request, res: Response, bytes: Readable, name: string): Promise<void> => {
    const asked = services(req);
    try {
      const id = await incoming.receive(bytes, name, asked.format, dayHere(nowMs()));
      res.status(201).json(incoming.view(id));
    } catch (error) {
      if (!(error instanceof CopyRefusal)) throw error;
      sendFailure(res, conflict('', { code: 'no-copy', why: error.message }));
    }
  };
  router.post(dataPaths.incoming, async (req, res) => {
    services(req);
    const { name } = queryOf(incomingQuery, req);
    await receive(req, res, req, name);
  });
  router.post(dataPaths.copyLook(':name'), async (req, res) => {
    services(req);
    const copy = copyNamed(record, param(req, 'name'));
    if (copy === undefined || !existsSync(copy.file))
      return sendFailure(res, notFound('name', { code: 'no-such-copy' }));
    return receive(req, res, createReadStream(copy.file), path.basename(copy.file));
  });
  router.get(dataPaths.one(':id'), (req, res) => {
    services(req);
    const view = incoming.view(param(req, 'id'));
    sendOutcome(res, view ? succeed(view) : fail(gone()));
  });
  router.post(dataPaths.reading(':id'), (req, res) => {
    const [asked, reading] = [services(req), bodyOf(tableReading, req)];
    const id = param(req, 'id');
    if (!incoming.readOtherwise(id, reading, asked.format, dayHere(nowMs()))) return sendFailure(res, gone());
    return sendOutcome(res, succeed(incoming.view(id)));
  });
  router.post(dataPaths.take(':id'), (req, res) => {
    const [asked, request] = [services(req), bodyOf(takeRequest, req)];
    const id = param(req, 'id');
    if (!incoming.take(id, request, asked.format)) return sendFailure(res, gone());
    return sendOutcome(res, succeed(incoming.view(id)));
  });
  router.post(dataPaths.end(':id'), (req, res) => {
    services(req);
    bodyOf(endRequest, req);
    sendOutcome(res, incoming.end(param(req, 'id')) ? succeed({}) : fail(gone()));
  });
  return router;
}

/** A record goes out, and files come in. */
export const dataRoutes = (services: Serving, files: RecordFiles): Router =>
  Router().use(outRoutes(services, files)).use(inRoutes(services, files));
