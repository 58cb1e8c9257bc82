import type Database from 'better-sqlite3';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import process from 'node:process';
import { ms, type Row } from '#bench/measure.ts';
import { FACTS } from '#server/facts.ts';
import { writtenRecord } from '#server/features/data/write-document.ts';

const BYTES_A_MEGABYTE = 1e6;
const cpuSeconds = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1e6;
};

/** The whole record as one open document, to its last byte: processor time, memory, and the longest turn meanwhile. */
export async function exportRow(client: Database.Database): Promise<Row> {
  const plain = cpuSeconds();
  for (const row of client.prepare('select * from facts').raw().iterate()) JSON.stringify(row);
  const beside = cpuSeconds() - plain;
  const delay = monitorEventLoopDelay({ resolution: 5 });
  const before = process.memoryUsage().rss;
  let [bytes, most] = [0, before];
  delay.enable();
  const since = cpuSeconds();
  for await (const piece of writtenRecord(client.name, FACTS)) {
    bytes += piece.length;
    most = Math.max(most, process.memoryUsage().rss);
  }
  const spent = cpuSeconds() - since;
  delay.disable();
  return {
    what: `everything as one document, ${(bytes / BYTES_A_MEGABYTE).toFixed(0)} MB`,
    figure: `${spent.toFixed(1)} s of processor`,
    beside: `${beside.toFixed(1)} s for the lines of the spine alone (×${(spent / beside).toFixed(1)}); memory +${((most - before) / BYTES_A_MEGABYTE).toFixed(0)} MB; longest turn ${ms(delay.max / 1e6)}`,
    goal: '< 20 s, < 300 MB',
  };
}
