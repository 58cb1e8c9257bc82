/** What a table that comes in tells of. */
export const TABLE_KINDS = ['plays', 'care'] as const;
export type TableKind = (typeof TABLE_KINDS)[number];

/** What a column may say. */
export const COLUMN_ROLES = ['date', 'endedAt', 'minutes', 'instrument', 'player', 'room', 'care', 'by'] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** Which columns each kind of table has, and which it cannot do without. */
export const ROLES_OF: Readonly<Record<TableKind, readonly ColumnRole[]>> = {
  plays: ['date', 'endedAt', 'minutes', 'instrument', 'player', 'room'],
  care: ['date', 'care', 'instrument', 'by'],
};
export const NEEDED: Readonly<Record<TableKind, readonly ColumnRole[]>> = {
  plays: ['date', 'minutes'],
  care: ['date', 'care'],
};

/** What columns are called by Ulu, and in others' spreadsheets (common practice, no source). */
const CALLED: Readonly<Record<ColumnRole, readonly string[]>> = {
  date: ['date', 'day', 'on', 'played on', 'done on', 'datum', 'tag', 'fecha', 'data', 'jour'],
  endedAt: ['ended at', 'ended', 'end', 'time', 'until', 'uhrzeit', 'ende', 'bis', 'zeit'],
  minutes: ['minutes', 'min', 'mins', 'duration', 'length', 'minuten', 'dauer', 'minutos', 'minuti', 'durée', 'duree'],
  instrument: ['instrument', 'horn', 'instrumento', 'strumento'],
  player: ['player', 'who', 'name', 'spieler', 'spielerin', 'wer'],
  room: ['room', 'room temperature', 'room °c', 'room °f', 'temperature', 'temp', 'raum', 'temperatur'],
  care: ['care', 'what was done', 'what', 'work', 'task', 'done', 'pflege', 'was', 'arbeit'],
  by: ['by', 'done by', 'von', 'durch'],
};

const plain = (header: string): string => header.trim().toLowerCase().replace(/[:.]$/, '').replace(/\s+/g, ' ');

/** The role a header word names; null where it names none. */
export const roleOfHeader = (header: string): ColumnRole | null =>
  COLUMN_ROLES.find((role) => {
    const word = plain(header).replace(/\s*[([].*[)\]]$/, '');
    return CALLED[role].includes(word) || CALLED[role].includes(plain(header));
  }) ?? null;

/** Which role each column of a table has; each role once, the first that names it. */
export function rolesOfHeaders(headers: readonly string[]): (ColumnRole | null)[] {
  const taken = new Set<ColumnRole>();
  return headers.map((header) => {
    const role = roleOfHeader(header);
    if (role === null || taken.has(role)) return null;
    taken.add(role);
    return role;
  });
}
