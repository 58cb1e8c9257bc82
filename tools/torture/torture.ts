import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seeded } from '#demo/random.ts';
import { noCounts, type Counts } from '#tools/torture/counts.ts';
import { hostileRound } from '#tools/torture/hostile-round.ts';
import { loggingRound } from '#tools/torture/logging-round.ts';
import { migrationLength, migrationRound, oldRecord } from '#tools/torture/migration-round.ts';

/**
 * Kills servers in the middle of logging and of migrating, sends every route what nobody should send, and looks whether
 * anything that was confirmed is lost. Only to servers it has started itself, on this machine.
 *
 * @param cycles how often a server is killed while logging, and how often while migrating
 */
export async function torture({ cycles, seed }: { readonly cycles: number; readonly seed: number }): Promise<Counts> {
  const folder = mkdtempSync(path.join(tmpdir(), 'ulu-torture-'));
  const counts = noCounts();
  const random = seeded(seed);
  try {
    const record = path.join(folder, 'record');
    const old = path.join(folder, 'old.db');
    oldRecord(old);
    const lengthMs = await migrationLength(old, path.join(folder, 'uninterrupted'));
    for (let cycle = 0; cycle < cycles; cycle++) {
      await loggingRound(counts, record, random);
      const dataFolder = path.join(folder, `old-${cycle}`);
      await migrationRound(counts, { old, dataFolder, lengthMs, random });
      rmSync(dataFolder, { recursive: true, force: true });
    }
    await hostileRound(counts, record);
    return counts;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
