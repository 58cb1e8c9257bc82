import type { Measure, MeasureId, MeasurePage, MeasureWay, Span } from '#core/book/measure.ts';
import { estimate } from '#core/explain/explained.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { PartId } from '#core/instruments/kind.ts';

const none: Span = { most: 0 };
const upTo = (most: number): Span => ({ most });
const atLeast = (least: number): Span => ({ least });
/** Quarterly, until somebody knows better. */
const QUARTER = estimate(91);
const HALF_YEAR = estimate(182);

/** A number of things that are not as they should be. */
const counts = (most: number): Pick<MeasureWay, 'unit' | 'range'> => ({
  unit: 'count',
  range: { least: 0, most, step: 1 },
});
/** How long something holds. */
const held = (most: number): Pick<MeasureWay, 'unit' | 'range'> => ({
  unit: 'seconds',
  range: { least: 0, most, step: 0.5 },
});

const FEELER =
  'Cut a strip of the thinnest paper, 2–3 mm wide. Lay its tip under the pad, close the key lightly, and draw. Go once round each pad. Every tip should hold alike.';

/** What can be measured on anything with keys and pads. */
export const keyed: MeasurePage = {
  id: 'keyed',
  measures: [
    {
      id: 'keyed/rattling-keys',
      name: 'Keys that rattle',
      part: 'the-keys',
      ways: [
        {
          id: 'by-hand',
          ...counts(20),
          how: 'Finger each key up and down, lightly. Count those you hear or feel rattle.',
          limits: { good: none, sooner: upTo(2) },
          mark: 'estimate',
        },
      ],
      every: QUARTER,
      work: 'service',
      renewedBy: ['wind/bench-service', 'keyed/bench-work'],
    },
    {
      id: 'keyed/proud-rods',
      name: 'Rods or pivot screws standing proud',
      part: 'the-keys',
      ways: [
        {
          id: 'by-eye',
          ...counts(20),
          how: 'Look along the rods in the light. Count the ends that stand out of their posts.',
          limits: { good: none, sooner: none },
          mark: 'estimate',
        },
      ],
      every: QUARTER,
      work: 'key-straightened',
      renewedBy: ['wind/bench-service', 'keyed/bench-work'],
    },
    {
      id: 'keyed/pads-leaking',
      name: 'Pads that do not hold the feeler',
      part: 'the-keys',
      ways: [
        {
          id: 'feeler',
          ...counts(30),
          how: FEELER,
          tool: 'a strip of the thinnest paper (0.02–0.03 mm)',
          limits: { good: none, sooner: upTo(2) },
          mark: 'estimate',
        },
      ],
      hands: 'not-alone',
      every: QUARTER,
      neverLengthened: true,
      work: 'pads',
      renewedBy: ['wind/bench-service', 'keyed/bench-work', 'keyed/low-register'],
    },
    {
      id: 'keyed/pads-leaking-at-rest',
      name: 'Pads of keys that rest closed and do not hold the feeler',
      part: 'the-keys',
      ways: [
        {
          id: 'feeler',
          ...counts(20),
          how: 'The same at every key its own spring keeps shut, without a finger on it.',
          tool: 'a strip of the thinnest paper (0.02–0.03 mm)',
          limits: { good: none, sooner: none },
          mark: 'estimate',
        },
      ],
      hands: 'not-alone',
      every: QUARTER,
      neverLengthened: true,
      work: 'pads',
      renewedBy: ['wind/bench-service', 'keyed/bench-work', 'keyed/low-register'],
    },
    {
      id: 'keyed/spring-standing-open',
      name: 'Weakest spring of a key that stands open',
      part: 'the-keys',
      ways: [
        {
          id: 'spring-gauge',
          unit: 'grams',
          range: { least: 0, most: 200, step: 1 },
          says: { 0: 'none, or limp' },
          how: 'The bench reads it where the finger rests.',
          tool: 'a spring gauge',
          limits: { good: { least: 20, most: 50 }, sooner: atLeast(1) },
          mark: 'estimate',
        },
      ],
      hands: 'bench',
      every: HALF_YEAR,
      work: 'spring',
      renewedBy: ['wind/bench-service', 'keyed/bench-work'],
    },
    {
      id: 'keyed/spring-standing-closed',
      name: 'Weakest spring of a key that rests closed',
      part: 'the-keys',
      ways: [
        {
          id: 'spring-gauge',
          unit: 'grams',
          range: { least: 0, most: 200, step: 1 },
          says: { 0: 'none, or limp' },
          how: 'The bench reads it where the finger rests.',
          tool: 'a spring gauge',
          limits: { good: { least: 35, most: 80 }, sooner: atLeast(1) },
          mark: 'estimate',
        },
      ],
      hands: 'bench',
      every: HALF_YEAR,
      work: 'spring',
      renewedBy: ['wind/bench-service', 'keyed/bench-work'],
    },
  ],
};

const suckedShut = (id: MeasureId, part: PartId, joint: string): Measure => ({
  id,
  name: `Seconds the ${joint} joint holds, sucked shut`,
  part,
  ways: [
    {
      id: 'sucked-shut',
      ...held(60),
      says: { 60: '60 s or more' },
      how: 'Shut its far end with your palm and all holes with your fingers. Suck the air out gently and count until it lets go. Dry and clean only.',
      limits: { good: atLeast(5), sooner: atLeast(2) },
      mark: 'general',
    },
  ],
  every: QUARTER,
  neverLengthened: true,
  work: 'pads',
  renewedBy: ['wind/bench-service', 'keyed/bench-work', 'keyed/low-register'],
});
/** Instruments of which a joint is sucked shut to find out whether it leaks. */
export const heldShut: MeasurePage = {
  id: 'held-shut',
  measures: [suckedShut('held-shut/upper-joint', 'upper-joint', 'upper')],
};
export const wingHeldShut: MeasurePage = {
  id: 'wing-held-shut',
  measures: [suckedShut('wing-held-shut/wing-joint', 'wing-joint', 'wing')],
};

/** A flute closes fewer and larger pads: one that leaks counts for more. */
export const flute: MeasurePage = {
  id: 'flute',
  measures: [
    {
      id: 'flute/pads-leaking',
      name: 'Pads that do not hold the feeler',
      part: 'the-keys',
      ways: [
        {
          id: 'feeler',
          ...counts(20),
          how: FEELER,
          tool: 'a strip of the thinnest paper (0.02–0.03 mm)',
          limits: { good: none, sooner: upTo(1) },
          mark: 'estimate',
        },
      ],
      hands: 'not-alone',
      every: QUARTER,
      neverLengthened: true,
      work: 'pads',
      renewedBy: ['wind/bench-service', 'keyed/bench-work', 'keyed/low-register'],
    },
  ],
};

/** Joints that hold by cork. */
export const corked: MeasurePage = {
  id: 'corked',
  measures: [
    {
      id: 'corked/fit',
      name: 'How the cork turns in its socket',
      part: 'the-tenons',
      places: 'tenons',
      ways: [
        {
          id: 'by-hand',
          unit: 'degree',
          range: { least: 1, most: 5, step: 1 },
          says: {
            1: 'loose, even with paper, or the cork splits',
            2: 'turns too easily',
            3: 'turns well',
            4: 'turns firmly',
            5: 'has to be forced',
          },
          how: 'Greased as always, join and part it by small turns. Feel how it turns on the last finger’s breadth.',
          limits: { good: { least: 3, most: 4 }, sooner: { least: 2, most: 5 } },
          mark: 'general',
        },
      ],
      every: QUARTER,
      work: 'recork',
      renewedBy: ['wind/bench-service'],
    },
  ],
};

export const saxophone: MeasurePage = {
  id: 'saxophone',
  measures: [
    {
      id: 'saxophone/neck-holds',
      name: 'Seconds the neck holds, sucked shut',
      part: 'neck',
      ways: [
        {
          id: 'sucked-shut',
          ...held(30),
          says: { 30: '30 s or more' },
          how: 'Lay the wide end on your palm, octave key shut. Suck gently at the cork end and count until it lets go.',
          limits: { good: atLeast(2), sooner: atLeast(1) },
          mark: 'estimate',
        },
      ],
      every: QUARTER,
      neverLengthened: true,
      work: 'pad',
      renewedBy: ['wind/bench-service', 'keyed/bench-work'],
    },
    {
      id: 'saxophone/octave-pin-gap',
      name: 'Gap between octave pin and ring',
      part: 'neck',
      ways: [
        {
          id: 'by-eye',
          unit: 'millimetres',
          range: { least: 0, most: 10, step: 0.1 },
          how: 'Neck on, no key pressed. Judge the gap between pin and ring against the thickness of a card (about 0.3 mm).',
          limits: { good: { least: 0.3, most: 0.8 }, sooner: { least: 0.1, most: 3 } },
          mark: 'estimate',
        },
      ],
      every: QUARTER,
      work: 'key-straightened',
      renewedBy: ['wind/bench-service', 'saxophone/octave-key'],
    },
    {
      id: 'saxophone/neck-rocks',
      name: 'Rocking of the neck, screwed tight',
      part: 'neck',
      ways: [
        {
          id: 'by-hand',
          unit: 'degree',
          range: { least: 0, most: 2, step: 1 },
          says: { 0: 'no', 1: 'a trace', 2: 'yes' },
          how: 'Screw it as tight as always, never tighter. Try with two fingers whether it rocks.',
          limits: { good: none, sooner: upTo(1) },
          mark: 'estimate',
        },
      ],
      every: HALF_YEAR,
      work: 'look',
      renewedBy: ['wind/bench-service'],
    },
  ],
};

/** The opening of the reed that is played now: another reed each week, so no line is drawn through it. */
const opening = (id: MeasureId, least: number, most: number, when?: BuildCondition): Measure => ({
  id,
  name: 'Opening of the reed at its tip',
  part: 'reed',
  noLine: true,
  ways: [
    {
      id: 'by-eye',
      unit: 'millimetres',
      range: { least: 0, most: 4, step: 0.1 },
      how: 'Soaked, at rest, looked at from the front. Judge its middle against a ruler.',
      // A reed is no work for a bench: one that is outside is looked at on the reeds page.
      limits: { good: { least, most } },
      mark: 'estimate',
    },
  ],
  every: estimate(14),
  work: 'look',
  renewedBy: [],
  ...(when && { when }),
});
export const oboeReed: MeasurePage = {
  id: 'oboe-reed',
  measures: [
    opening('oboe-reed/opening', 0.5, 0.8, { scrape: ['long', 'unknown'] }),
    opening('oboe-reed/opening-short', 0.5, 0.9, { scrape: ['short'] }),
  ],
};
export const corAnglaisReed: MeasurePage = {
  id: 'cor-anglais-reed',
  measures: [opening('cor-anglais-reed/opening', 0.6, 1)],
};
export const bassoonReed: MeasurePage = {
  id: 'bassoon-reed',
  measures: [opening('bassoon-reed/opening', 0.9, 1.4)],
};

export const bamboo: MeasurePage = {
  id: 'bamboo',
  measures: [
    {
      id: 'bamboo/crack',
      name: 'Length of a crack',
      part: 'top-half',
      ways: [
        {
          id: 'ruler',
          unit: 'millimetres',
          range: { least: 0, most: 600, step: 1 },
          how: 'Look along the grain in the light, inside and out. 0 where there is none.',
          limits: { good: none, sooner: none },
          mark: 'estimate',
        },
      ],
      every: QUARTER,
      neverLengthened: true,
      stops: true,
      work: 'crack',
      renewedBy: ['bamboo-flute/crack'],
    },
    {
      id: 'bamboo/joint-gap',
      name: 'Gap at the joint',
      part: 'top-half',
      when: { pieces: ['two-piece'] },
      ways: [
        {
          id: 'feeler-gauge',
          unit: 'millimetres',
          range: { least: 0, most: 5, step: 0.1 },
          how: 'Joined as always, look round the joint. Watch the binding: does it lie tight?',
          limits: { good: none },
          mark: 'estimate',
        },
      ],
      every: QUARTER,
      work: 'look',
      renewedBy: ['wind/bench-service'],
    },
  ],
};

export const pipes: MeasurePage = {
  id: 'pipes',
  measures: [
    {
      id: 'pipes/bag-holds',
      name: 'Seconds the bag holds, all stocks corked',
      part: 'bag',
      ways: [
        {
          id: 'blown-full',
          unit: 'seconds',
          range: { least: 0, most: 120, step: 1 },
          says: { 120: '120 s or more' },
          how: 'Cork every stock, blow the bag full, stop. Count until it gives. Where it gives sooner than 10 s, find out which stock hisses.',
          limits: { good: atLeast(30), sooner: atLeast(10) },
          mark: 'general',
        },
      ],
      every: estimate(30),
      work: 'bag',
      renewedBy: ['wind/bench-service'],
    },
  ],
};
