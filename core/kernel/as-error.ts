/** What was thrown, as an error: nothing says that only errors are. */
export const asError = (thrown: unknown): Error => (thrown instanceof Error ? thrown : new Error(String(thrown)));
