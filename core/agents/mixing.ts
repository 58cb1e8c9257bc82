import type { Agent, Hazard } from '#core/book/agent.ts';

export type Mixing =
  | { readonly danger: true; readonly gas: string; readonly text: string }
  | { readonly danger: false; readonly text: string };

type Pair = { readonly a: Hazard; readonly b: Hazard; readonly gas: string };

/**
 * Pairs that must never meet. Bleach with acid, ammonia or alcohol: public-health advice (CDC, "Cleaning and
 * Disinfecting with Bleach"; Washington State Department of Health; recalled). Peroxide with vinegar: poison-centre
 * advice, recalled.
 */
const PAIRS: readonly Pair[] = [
  { a: 'bleach', b: 'acid', gas: 'chlorine gas' },
  { a: 'bleach', b: 'ammonia', gas: 'chloramine vapours' },
  { a: 'bleach', b: 'alcohol', gas: 'chloroform and other toxic chlorinated vapours' },
  { a: 'peroxide', b: 'acid', gas: 'peracetic acid, corrosive and irritating' },
];

const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  bleach: 'bleach',
  acid: 'an acid',
  ammonia: 'ammonia',
  alcohol: 'alcohol',
  peroxide: 'peroxide',
};

const IF_MIXED = 'If it has happened: leave the room, let it air, follow the label and the poison service.';

const withStranger = (reacts: Hazard | undefined): Mixing =>
  reacts === undefined
    ? { danger: false, text: 'Not known: read the label; one at a time, rinsed between.' }
    : {
        danger: true,
        gas: 'unknown',
        text: `An unknown product is never mixed with ${HAZARD_WORDS[reacts]}. ${IF_MIXED}`,
      };

/**
 * What two agents make together, whichever is named first. An agent nobody knows goes with nothing that reacts: it may
 * be bleach itself.
 */
export function mixing(one: Agent | undefined, other: Agent | undefined): Mixing {
  const [a, b] = [one?.hazards ?? [], other?.hazards ?? []];
  const pair = PAIRS.find(
    (row) => (a.includes(row.a) && b.includes(row.b)) || (a.includes(row.b) && b.includes(row.a)),
  );
  if (pair)
    return {
      danger: true,
      gas: pair.gas,
      text: `Never together: ${pair.gas}. Rinse between, or use one only. ${IF_MIXED}`,
    };
  if (one === undefined || other === undefined) return withStranger(a[0] ?? b[0]);
  return {
    danger: false,
    text: 'No hazard of mixing is known. One after the other, rinsed between, is always the safer way.',
  };
}
