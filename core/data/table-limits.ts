/** The largest table that is brought in at once, in bytes, rows and columns: more is brought in year by year. */
export const LARGEST_TABLE = 20_000_000;
export const MOST_ROWS = 10_000;
export const MOST_COLUMNS = 100;
