// The thread a record is looked over in: pages that do not hold together, rows that point at nothing. It only reads.
import Database from 'better-sqlite3';
import { constants, setPriority } from 'node:os';
import process from 'node:process';
import { parentPort, workerData } from 'node:worker_threads';

// On Linux this is the priority of the thread alone.
if (process.platform === 'linux') setPriority(constants.priority.PRIORITY_LOW);

const client = new Database(workerData, { readonly: true });
try {
  const pages = client.pragma('quick_check(1)', { simple: true });
  const orphans = pages === 'ok' ? client.prepare('select count(*) from pragma_foreign_key_check').pluck().get() : 0;
  parentPort?.postMessage({ isWhole: pages === 'ok', orphans });
} finally {
  client.close();
}
