import { array, boolean, object, string, type InferType } from 'yup';
import { answeredWith, fact, type Posted } from '#contract/fact.ts';
import { ofInstrument } from '#core/record/fact.ts';
import type { InstrumentBuilt } from '#core/instruments/instrument.ts';
import { ALONE_IDS } from '#core/instruments/alone.ts';
import { KIND_IDS, PART_IDS } from '#core/instruments/kind.ts';
import { CARE_STATES } from '#core/care/care-state.ts';
import {
  amount,
  instrumentId,
  localDateText,
  minuteOfDay,
  playerId,
  text,
  visibleText,
  word,
} from '#contract/scalars.ts';

export const instrumentPaths = {
  kinds: '/api/kinds',
  shelf: (today: string) => `/api/instruments?today=${today}`,
  add: '/api/instruments',
  departures: '/api/departures',
  serials: '/api/serials',
  builds: '/api/builds',
} as const;

/** What a kind asks of somebody adding one: the web app holds no tables of its own. */
export const kindView = object({
  id: word(KIND_IDS).required(),
  name: text().required(),
  family: text().required(),
  fields: array(
    object({
      field: text().required(),
      question: text().required(),
      usual: text().required(),
      options: array(object({ id: text().required(), name: text().required() }).exact().required()).required(),
    })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type KindView = InferType<typeof kindView>;
export const kindList = array(kindView).required();

/** A record of field → option; which of them exist is the core's to check. */
const buildRecord = () =>
  object<Record<string, string>>()
    .strict()
    .required()
    .test('build', '${path} must be an object of text fields', (value) => {
      const entries = Object.entries(value as Record<string, unknown>);
      return entries.length <= 20 && entries.every(([, option]) => typeof option === 'string');
    });

/** What is kept of an arrival beside how it is built. */
export const keptArrival = object({
  id: instrumentId().required(),
  name: text().max(200).required(),
  kind: word(KIND_IDS).required(),
  playerId: playerId().required(),
  acquiredOn: localDateText().required(),
  cameNew: boolean().strict().required(),
})
  .exact()
  .required();

/** `POST /api/instruments` */
export const addInstrumentRequest = object({
  id: instrumentId().required(),
  name: visibleText(60).required(),
  kind: word(KIND_IDS).required(),
  build: buildRecord(),
  playerId: playerId().required(),
  acquiredOn: localDateText().required(),
  cameNew: boolean().strict().required(),
  today: localDateText().required(),
})
  .exact()
  .required();
export type AddInstrumentRequest = InferType<typeof addInstrumentRequest>;

/** `POST /api/departures`: the day it left the shelf, or null where it came back. */
export const departureFact = fact({
  kind: 'departure',
  path: instrumentPaths.departures,
  fields: {
    instrumentId: instrumentId().required(),
    leftOn: localDateText().nullable().defined(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
});

/** `POST /api/serials`: the number that is stamped on it; null takes it away. The last word counts. */
export const serialFact = fact({
  kind: 'serial',
  path: instrumentPaths.serials,
  fields: { instrumentId: instrumentId().required(), serial: visibleText(40).nullable().defined() },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
});

/** `POST /api/builds`: how it is built from now on. Its history stays. */
export const buildFact = fact({
  kind: 'build',
  path: instrumentPaths.builds,
  fields: { instrumentId: instrumentId().required(), build: buildRecord() },
  about: ({ instrumentId: id }: InstrumentBuilt) => [ofInstrument(id)],
});

const gaugeFields = {
  state: word(CARE_STATES).required(),
  /** How far the clock has run, 1 is due; null where nothing is known or there is no clock. */
  load: amount().min(0).nullable().defined(),
  /** The words beside the gauge. */
  words: text().required(),
};
export const gaugeView = object(gaugeFields).exact();
export type GaugeView = InferType<typeof gaugeView>;

/** One place on the shelf. */
export const shelfPlace = object({
  id: instrumentId().required(),
  name: text().required(),
  kind: word(KIND_IDS).required(),
  kindName: text().required(),
  playerId: playerId().required(),
  /** The most pressing clock, and what it is for; null when nothing runs. */
  gauge: object({ ...gaugeFields, itemName: text().required() })
    .exact()
    .nullable()
    .defined(),
  calling: amount().integer().min(0).required(),
  /** Played and not packed up since. */
  awaitsPackUp: boolean().strict().required(),
  /** Packed up on the way, and not dried at home yet. */
  isCasedDamp: boolean().strict().required(),
  openRunKey: text().nullable().defined(),
  lastPlayedOn: localDateText().nullable().defined(),
  /** The day it is expected back from the bench; null while it is not there. */
  awayUntil: localDateText().nullable().defined(),
  /** It goes there today, and nobody has packed it yet. */
  goesToday: boolean().strict().required(),
  /** Whether something is wrong with it: it is stopped, or still being asked about. */
  faults: word(['none', 'open', 'stopped'] as const).required(),
  /** It is played with reeds that are kept. */
  hasReeds: boolean().strict().required(),
})
  .exact()
  .required();
export type ShelfPlace = InferType<typeof shelfPlace>;
export const shelfView = array(shelfPlace).required();

/** An instrument comes, under its id. */
export const instrumentAddition: Posted<Omit<AddInstrumentRequest, 'id'>, ShelfPlace> = {
  path: instrumentPaths.add,
  answer: answeredWith(shelfPlace),
  isAnAddition: true,
};

/** One segment of the bore strip, in bore order from the mouth. */
export const stripSegment = object({
  part: word(PART_IDS).required(),
  name: text().required(),
  lengthMm: amount().positive().required(),
  boreMm: array(amount().positive().required()).length(2).required(),
  waterShare: amount().min(0).max(1).required(),
  waterGrams: amount().min(0).required(),
  joint: string().oneOf(['tenon', 'slide', 'fixed']).nullable().defined(),
  form: string().oneOf(['u-turn', 'sack', 'side']).nullable().defined(),
})
  .exact()
  .required();
export type StripSegment = InferType<typeof stripSegment>;

export const instrumentView = object({
  id: instrumentId().required(),
  name: text().required(),
  kind: word(KIND_IDS).required(),
  kindName: text().required(),
  build: buildRecord(),
  buildWords: array(text().required()).required(),
  playerId: playerId().required(),
  acquiredOn: localDateText().required(),
  cameNew: boolean().strict().required(),
  leftOn: localDateText().nullable().defined(),
})
  .exact()
  .required();
export type InstrumentView = Omit<InferType<typeof instrumentView>, 'build'> & { build: Record<string, string> };

const aloneParts = { alone: word(ALONE_IDS).required(), name: text().required() };
/** What of an instrument may be played by itself while the rest stays in its case. */
export const aloneView = object({
  sets: array(object(aloneParts).exact().required()).required(),
  /** Played so for some weeks, and the last day of it. */
  usual: object({ ...aloneParts, last: localDateText().nullable().defined() })
    .exact()
    .nullable()
    .defined(),
  /** The parts that stand wet, where it is not all of it. */
  wetName: text().nullable().defined(),
})
  .exact()
  .required();
export type AloneView = InferType<typeof aloneView>;

export const lastPlayView = object({
  key: text().required(),
  endedOn: localDateText().required(),
  endedAtMinute: minuteOfDay().nullable().defined(),
  minutes: amount().required(),
})
  .exact()
  .nullable()
  .defined();
