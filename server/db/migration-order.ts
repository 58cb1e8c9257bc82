export type JournalEntry = { readonly idx: number; readonly when: number; readonly tag: string };

/** What is wrong between the migrations this program ships and those a database has seen. */
export class MigrationRefusal extends Error {
  constructor(
    readonly code: 'newer-database' | 'would-be-skipped' | 'early-trial' | 'orphans',
    message: string,
  ) {
    super(message);
  }
}

/** Migrations of an early trial that was never given out; nothing leads from it to a later version. */
const EARLY_TRIAL: readonly number[] = [1795495585997, 1795567387275, 1795654601284];

/**
 * The migrations still to be run. Drizzle applies one only if its stamp is newer than the newest applied, and says
 * nothing about the rest; so both cases are looked for here.
 *
 * @throws MigrationFault when the database is from a newer version, or a migration would silently be left out
 */
export function pendingMigrations(journal: readonly JournalEntry[], appliedWhens: readonly number[]): JournalEntry[] {
  if (appliedWhens.some((when) => EARLY_TRIAL.includes(when)))
    throw new MigrationRefusal(
      'early-trial',
      'This database was made by an early trial of Ulu and cannot be carried over. It was left as it is. Choose another folder with --data FOLDER.',
    );
  const known = new Set(journal.map(({ when }) => when));
  if (appliedWhens.some((when) => !known.has(when)))
    throw new MigrationRefusal(
      'newer-database',
      'This database was made by a newer version of Ulu. Start that version, or choose another data folder with --data.',
    );
  const applied = new Set(appliedWhens);
  const newest = Math.max(0, ...appliedWhens);
  const skipped = journal.filter(({ when }) => when <= newest && !applied.has(when));
  if (skipped.length > 0)
    throw new MigrationRefusal(
      'would-be-skipped',
      `Regenerate these migrations, they would be skipped: ${skipped.map(({ tag }) => tag).join(', ')}`,
    );
  return journal.filter(({ when }) => !applied.has(when));
}
