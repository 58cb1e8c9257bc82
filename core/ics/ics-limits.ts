/** Larger files are nobody's season, characters. */
export const LARGEST_ICS = 5_000_000;
