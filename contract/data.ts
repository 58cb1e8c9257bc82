import { array, boolean, object, type InferType } from 'yup';
import { COLUMN_ROLES, TABLE_KINDS } from '#core/data/table-columns.ts';
import { MOST_COLUMNS } from '#core/data/table-limits.ts';
import { DAY_ORDERS } from '#core/explain/format.ts';
import { amount, instrumentId, localDateText, playerId, text, word } from '#contract/scalars.ts';

/** What parts the cells of a table that goes out. */
export const TABLE_DELIMITERS = ['comma', 'semicolon', 'tab'] as const;
export type TableDelimiter = (typeof TABLE_DELIMITERS)[number];
export const tableQuery = object({ delimiter: word(TABLE_DELIMITERS).required() })
  .exact()
  .required();

export const dataPaths = {
  page: '/api/data',
  copies: '/api/data/copies',
  copy: (name: string) => `/api/data/copies/${name}`,
  copyLook: (name: string) => `/api/data/copies/${name}/look`,
  record: '/api/data/record.json',
  schema: '/api/data/record.schema.json',
  history: (instrument: string) => `/api/data/history/${instrument}.json`,
  incoming: '/api/data/incoming',
  incomingNamed: (name: string) => `/api/data/incoming?name=${encodeURIComponent(name)}`,
  one: (id: string) => `/api/data/incoming/${id}`,
  take: (id: string) => `/api/data/incoming/${id}/take`,
  reading: (id: string) => `/api/data/incoming/${id}/reading`,
  playsTable: '/api/data/plays.csv',
  careTable: '/api/data/care.csv',
  cut: (table: string, delimiter: TableDelimiter) => `${table}?delimiter=${delimiter}`,
  end: (id: string) => `/api/data/incoming/${id}/end`,
} as const;

const copyView = object({
  name: text().required(),
  on: localDateText().required(),
  /** "Today, 8.8 MB". */
  words: text().required(),
})
  .exact()
  .required();
export type CopyView = InferType<typeof copyView>;

/** `GET /api/data`: where the record lies, and the copies of it, the newest first. */
export const dataView = object({
  folder: text().required(),
  copiesFolder: text().required(),
  copies: array(copyView).required(),
  /** How old the newest is, in words. */
  age: text().required(),
  /** It is older than a careful person lets it be. */
  isOld: boolean().strict().required(),
  /** What is being taken in now. */
  incoming: text().nullable().defined(),
})
  .exact()
  .required();
export type DataView = InferType<typeof dataView>;
export const dataQuery = object({ today: localDateText().required() }).exact().required();

/** `POST /api/data/copies`: a copy now. */
export const copyNowRequest = object({ today: localDateText().required() }).exact().required();
export const copyMade = object({ name: text().required(), words: text().required() }).exact().required();

/** What a file that is brought in is found to be. */
export const INCOMING_KINDS = ['copy', 'record', 'table', 'unknown'] as const;
/** How far it is: being read, looked at and waiting for a word, being taken in, taken in, refused. */
export const INCOMING_PHASES = ['reading', 'ready', 'taking', 'taken', 'refused'] as const;
export type IncomingPhase = (typeof INCOMING_PHASES)[number];

const problemLine = object({ at: amount().integer().nullable().defined(), words: text().required() })
  .exact()
  .required();

/** A player of a record that comes in who is not known here by their id. */
const newPlayer = object({
  playerId: playerId().required(),
  name: text().required(),
  /** Who they seem to be here. */
  seemsToBe: playerId().nullable().defined(),
})
  .exact()
  .required();

/** How a table is read: found by itself, and put right by whoever brought it. */
const tableReadingFields = {
  what: word(TABLE_KINDS).required(),
  /** The first row holds words for the columns. */
  hasHeader: boolean().strict().required(),
  order: word(DAY_ORDERS).required(),
  /** What each column says; null: nothing that is wanted. */
  columns: array(word(COLUMN_ROLES).nullable().defined()).max(MOST_COLUMNS).required(),
  /** Whose rows they are, and of which instrument, where no column says so. */
  playerId: playerId().required(),
  instrumentId: instrumentId().nullable().defined(),
};
/** `POST /api/data/incoming/:id/reading`: reads a table otherwise. */
export const tableReading = object(tableReadingFields).exact().required();
export type TableReading = InferType<typeof tableReading>;

const named = object({ id: text().required(), name: text().required() }).exact().required();
const tableView = object({
  ...tableReadingFields,
  encoding: text().required(),
  delimiter: text().required(),
  heads: array(
    object({ header: text().defined(), examples: array(text().defined()).required() })
      .exact()
      .required(),
  ).required(),
  instruments: array(named).required(),
  people: array(named).required(),
})
  .exact()
  .required();
export type TableView = InferType<typeof tableView>;

/** What would happen, where it is taken in. */
const incomingPreview = object({
  /** What the file holds. */
  holds: text().required(),
  /** What of it is new here and what is not, a sentence each. */
  lines: array(text().required()).required(),
  players: array(newPlayer).required(),
  /** There is something to be taken in. */
  isWorthIt: boolean().strict().required(),
  /** How it is read, where it is a table. */
  table: tableView.nullable().defined(),
})
  .exact()
  .required();
export type IncomingPreview = InferType<typeof incomingPreview>;

export const incomingView = object({
  id: text().required(),
  name: text().defined(),
  kind: word(INCOMING_KINDS).required(),
  phase: word(INCOMING_PHASES).required(),
  /** From 0 to 1; null while nobody can say. */
  progress: amount().min(0).max(1).nullable().defined(),
  preview: incomingPreview.nullable().defined(),
  problems: array(problemLine).required(),
  /** What has come of it, once it is taken in. */
  outcome: text().nullable().defined(),
})
  .exact()
  .required();
export type IncomingView = InferType<typeof incomingView>;

export const incomingQuery = object({ name: text().max(255).defined() })
  .exact()
  .required();

const MOST_PLAYERS = 500;
/** `POST /api/data/incoming/:id/take`: takes it in; players who are somebody here already, by their id there and here. */
export const takeRequest = object({
  players: array(object({ playerId: playerId().required(), isHere: playerId().required() }).exact().required())
    .max(MOST_PLAYERS)
    .required(),
  today: localDateText().required(),
})
  .exact()
  .required();
export type TakeRequest = InferType<typeof takeRequest>;
export const endRequest = object({}).exact().required();
