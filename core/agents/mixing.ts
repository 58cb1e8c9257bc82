import type { Agent, Hazard } from '#core/book/agent.ts';

/** `care`: nothing poisonous, and something to mind all the same. */
export type Mixing =
  | { readonly danger: true; readonly gas: string; readonly text: string }
  | { readonly danger: false; readonly care: boolean; readonly text: string };

type Pair = { readonly a: Hazard; readonly b: Hazard; readonly gas: string };

/**
 * Pairs that must never meet. Bleach with acid, ammonia or alcohol: public-health advice (CDC, "Cleaning and
 * Disinfecting with Bleach"; Washington State Department of Health; recalled). Peroxide with vinegar: poison-centre
 * advice, recalled. Bleach with peroxide: general chemistry, the two take each other apart and set oxygen free.
 */
const PAIRS: readonly Pair[] = [
  { a: 'bleach', b: 'acid', gas: 'chlorine gas' },
  { a: 'bleach', b: 'ammonia', gas: 'chloramine vapours' },
  { a: 'bleach', b: 'alcohol', gas: 'chloroform and other toxic chlorinated vapours' },
  { a: 'bleach', b: 'peroxide', gas: 'oxygen that froths off, with heat and splashes' },
  { a: 'peroxide', b: 'acid', gas: 'peracetic acid, corrosive and irritating' },
];

/** Pairs that only foam. */
const FOAMS: readonly (readonly [Hazard, Hazard])[] = [['soda', 'acid']];

const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  bleach: 'bleach',
  acid: 'an acid',
  ammonia: 'ammonia',
  alcohol: 'alcohol',
  peroxide: 'peroxide',
  soda: 'soda',
};

const IF_MIXED = 'If it has happened: leave the room, let it air, follow the label and the poison service.';
const NO_BLEACH = 'Bleach is used on nothing here, and it is mixed with nothing.';

const withStranger = (reacts: Hazard | undefined): Mixing =>
  reacts === undefined
    ? { danger: false, care: true, text: 'Not known: read the label, and use one at a time.' }
    : {
        danger: true,
        gas: 'unknown',
        text: `An unknown product is never mixed with ${HAZARD_WORDS[reacts]}. ${IF_MIXED}`,
      };

const meets = (one: readonly Hazard[], other: readonly Hazard[], a: Hazard, b: Hazard): boolean =>
  (one.includes(a) && other.includes(b)) || (one.includes(b) && other.includes(a));

/** Bleach with anything else: polishes may hold ammonia, dips an acid, sprays and cleaners alcohol. */
const withBleach = (gas = 'fumes nobody can foretell: the other may hold ammonia, acid or alcohol'): Mixing => ({
  danger: true,
  gas,
  text: `Never together: ${gas}. ${NO_BLEACH} ${IF_MIXED}`,
});

/**
 * What two agents make together, whichever is named first. An agent nobody knows goes with nothing that reacts: it may
 * be bleach itself.
 */
export function mixing(one: Agent | undefined, other: Agent | undefined): Mixing {
  const [a, b] = [one?.hazards ?? [], other?.hazards ?? []];
  const pair = PAIRS.find((row) => meets(a, b, row.a, row.b));
  if (a.includes('bleach') !== b.includes('bleach')) return withBleach(pair?.gas);
  if (pair)
    return {
      danger: true,
      gas: pair.gas,
      text: `Never together, nor one after the other in one cup: ${pair.gas}. Use one only. ${IF_MIXED}`,
    };
  if (one === undefined || other === undefined) return withStranger(a[0] ?? b[0]);
  if (FOAMS.some(([x, y]) => meets(a, b, x, y)))
    return { danger: false, care: true, text: 'They foam and use each other up. Never in a closed bottle: it bursts.' };
  return {
    danger: false,
    care: false,
    text: 'No hazard of mixing is known. One after the other, rinsed between, is always the safer way.',
  };
}
