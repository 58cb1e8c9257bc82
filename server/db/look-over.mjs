// The thread a record is looked over in: pages that do not hold together, rows that point at nothing. It only reads.
import Database from 'better-sqlite3';
import { parentPort, workerData } from 'node:worker_threads';

const client = new Database(workerData, { readonly: true });
try {
  const pages = client.pragma('quick_check(1)', { simple: true });
  const orphans = pages === 'ok' ? client.prepare('select count(*) from pragma_foreign_key_check').pluck().get() : 0;
  parentPort?.postMessage({ isWhole: pages === 'ok', orphans });
} finally {
  client.close();
}
