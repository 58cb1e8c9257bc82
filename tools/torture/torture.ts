import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seeded } from '#demo/random.ts';
import { noCounts, type Counts } from '#tools/torture/counts.ts';
import { copiesRound } from '#tools/torture/copies-round.ts';
import { hostileRound, type Pairing } from '#tools/torture/hostile-round.ts';
import { incomingRound } from '#tools/torture/incoming-round.ts';
import { loggingRound } from '#tools/torture/logging-round.ts';
import { demoRound, importRound, startRound } from '#tools/torture/killing-rounds.ts';
import { migrationRound, OLD_PLAYS, oldRecord, oldVersions, type OldRecord } from '#tools/torture/migration-round.ts';

type Torturing = {
  readonly cycles: number;
  readonly seed: number;
  readonly oldPlays?: number;
  readonly pairing?: Pairing;
};

/** Making the demo takes as long as several other rounds: it is interrupted in every so-manieth cycle. */
const EACH_DEMO = 10;

/**
 * Kills servers in the middle of logging, starting, importing, taking a document in, copying, taking a copy back, migrating and making
 * the demo, sends every route what nobody should send, and looks whether
 * anything that was confirmed is lost. Only to servers it has started itself, on this machine.
 *
 * @param cycles how often a server is killed in each of these; while making the demo a tenth of it
 */
export async function torture({ cycles, seed, oldPlays = OLD_PLAYS, pairing = 'all' }: Torturing): Promise<Counts> {
  const folder = mkdtempSync(path.join(tmpdir(), 'ulu-torture-'));
  const counts = noCounts();
  const random = seeded(seed);
  try {
    const record = path.join(folder, 'record');
    const versions = oldVersions();
    const made = new Map<number, OldRecord>();
    for (let cycle = 0; cycle < cycles; cycle++) {
      await loggingRound(counts, record, random);
      await startRound(counts, record, random);
      await importRound(counts, record, random);
      await copiesRound(counts, record, random);
      await incomingRound(counts, record, random);
      // The versions in turn: many cycles see all of them.
      const version = versions[(seed + cycle) % versions.length] ?? 1;
      const old = made.get(version) ?? (await oldRecord(folder, version, oldPlays));
      made.set(version, old);
      const dataFolder = path.join(folder, `old-${cycle}`);
      await migrationRound(counts, old, { dataFolder, random });
      rmSync(dataFolder, { recursive: true, force: true });
      if (cycle % EACH_DEMO === EACH_DEMO - 1) await demoRound(counts, path.join(folder, `demo-${cycle}`), random);
    }
    await hostileRound(counts, record, pairing);
    return counts;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
