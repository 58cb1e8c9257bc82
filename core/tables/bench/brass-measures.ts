import type { MeasurePage, MeasureWay, Span } from '#core/book/measure.ts';
import { estimate } from '#core/explain/explained.ts';

const none: Span = { most: 0 };
const upTo = (most: number): Span => ({ most });
const QUARTER = estimate(91);
const HALF_YEAR = estimate(182);

/** What any instrument has: a case. */
export const any: MeasurePage = {
  id: 'any',
  measures: [
    {
      id: 'any/loose-in-case',
      name: 'Things that move in the shut case',
      part: 'case',
      ways: [
        {
          id: 'by-ear',
          unit: 'count',
          range: { least: 0, most: 10, step: 1 },
          how: 'Close all latches, lift the case a little and rock it. Listen, then open it and count what lay loose.',
          limits: { good: none },
          mark: 'general',
        },
      ],
      every: QUARTER,
      neverLengthened: true,
      work: 'case',
      renewedBy: ['wind/case-moves'],
    },
    {
      id: 'any/hinges-latches',
      name: 'Hinges and latches of the case',
      part: 'case',
      ways: [
        {
          id: 'by-hand',
          unit: 'degree',
          range: { least: 0, most: 2, step: 1 },
          says: { 0: 'hold', 1: 'stiff, or not quite shut', 2: 'one fails' },
          how: 'Open and shut each latch. Lift the lid and look at the hinges.',
          limits: { good: none, sooner: upTo(1) },
          mark: 'general',
        },
      ],
      every: QUARTER,
      neverLengthened: true,
      work: 'case',
      renewedBy: ['wind/case-moves'],
    },
  ],
};

const PULL = {
  0: 'falls out',
  1: 'too easy',
  2: 'easy',
  3: 'smooth',
  4: 'heavy',
  5: 'stuck: force nothing',
};
const pullByHand = (good: Span, sooner: Span, says: MeasureWay['says'] = PULL): MeasureWay => ({
  id: 'by-hand',
  unit: 'degree',
  range: { least: 0, most: 5, step: 1 },
  says,
  how: 'Draw it a hand’s breadth and push it back, straight, with two fingers. Before oiling, dry, in the room. What does not move is 5: force nothing.',
  limits: { good, sooner },
  mark: 'estimate',
});
const pullByBalance = (good: Span, sooner: Span): MeasureWay => ({
  id: 'spring-balance',
  unit: 'newtons',
  range: { least: 0, most: 21, step: 1 },
  says: { 0: 'falls out', 21: 'does not move at 20 N' },
  how: 'A soft cord round the slide’s bow, a spring balance at the cord. Pull straight and slowly, never with more than 20 N. Read where it begins to move.',
  tool: 'a spring balance and a soft cord',
  limits: { good, sooner },
  mark: 'estimate',
});

export const brass: MeasurePage = {
  id: 'brass',
  measures: [
    {
      id: 'brass/slide-pull',
      name: 'Pull of the slide',
      part: 'the-slides',
      places: ['main-slide', 'first-slide', 'second-slide', 'third-slide'],
      ways: [
        pullByHand({ least: 2, most: 3 }, { least: 1, most: 4 }),
        pullByBalance({ least: 5, most: 15 }, { least: 1, most: 20 }),
      ],
      every: estimate(30),
      work: 'slide-freed',
      renewedBy: ['brass/stuck', 'wind/bench-service', 'rotary-brass/rotors-bench'],
    },
    {
      id: 'brass/water-key',
      name: 'Bubbles at the water key in 5 seconds',
      part: 'the-water',
      ways: [
        {
          id: 'under-water',
          unit: 'count',
          range: { least: 0, most: 50, step: 1 },
          how: 'Wet its cork with a film of water, blow against shut valves or your palm, and count bubbles for 5 seconds.',
          limits: { good: none, sooner: upTo(3) },
          mark: 'estimate',
        },
      ],
      every: QUARTER,
      neverLengthened: true,
      work: 'water-key-cork',
      renewedBy: ['brass/water-key-cork', 'wind/bench-service'],
    },
    {
      id: 'brass/shank',
      name: 'Rocking of the mouthpiece’s shank',
      part: 'mouthpiece',
      ways: [
        {
          id: 'by-hand',
          unit: 'degree',
          range: { least: 0, most: 2, step: 1 },
          says: { 0: 'no', 1: 'a little', 2: 'yes' },
          how: 'Roll it on a table and look at its end; then set it in and try whether it rocks. Never tap it in.',
          limits: { good: none, sooner: upTo(1) },
          mark: 'estimate',
        },
      ],
      every: HALF_YEAR,
      work: 'shank-trued',
      renewedBy: ['wind/bench-service'],
    },
    {
      id: 'brass/pink-spots',
      name: 'Pinkish spots on the mouthpipe',
      part: 'mouthpipe',
      ways: [
        {
          id: 'by-eye',
          unit: 'count',
          range: { least: 0, most: 50, step: 1 },
          how: 'Wipe it and look along it in daylight. Count the pinkish spots.',
          limits: { good: none, sooner: upTo(3) },
          mark: 'estimate',
        },
      ],
      every: HALF_YEAR,
      spreads: { withinDays: estimate(92) },
      work: 'mouthpipe',
      renewedBy: ['brass/red-rot'],
    },
    {
      id: 'brass/mouthpipe-holes',
      name: 'Holes in the mouthpipe',
      part: 'mouthpipe',
      ways: [
        {
          id: 'by-eye',
          unit: 'count',
          range: { least: 0, most: 20, step: 1 },
          how: 'Look along it against the light, and feel for air with wet lips while somebody blows.',
          limits: { good: none, sooner: none },
          mark: 'estimate',
        },
      ],
      every: HALF_YEAR,
      work: 'mouthpipe',
      renewedBy: ['brass/red-rot'],
    },
    {
      id: 'brass/dent-depth',
      name: 'Deepest dent',
      part: 'the-bore',
      ways: [
        {
          id: 'ruler',
          unit: 'millimetres',
          range: { least: 0, most: 40, step: 0.5 },
          how: 'Lay a straight edge across it and judge the depth. 0 where there is none.',
          limits: { good: none, sooner: upTo(2) },
          mark: 'estimate',
        },
      ],
      every: HALF_YEAR,
      work: 'dent',
      renewedBy: ['brass/dent'],
    },
    {
      id: 'brass/dent-on-slide',
      name: 'Dents on a slide or a valve casing',
      part: 'the-slides',
      ways: [
        {
          id: 'by-eye',
          unit: 'count',
          range: { least: 0, most: 20, step: 1 },
          how: 'Look at every slide and casing in the light, however shallow the dent.',
          limits: { good: none, sooner: none },
          mark: 'estimate',
        },
      ],
      every: HALF_YEAR,
      work: 'dent',
      renewedBy: ['brass/dent'],
    },
  ],
};

/** Slides that are moved while playing. */
export const thirdSlide: MeasurePage = {
  id: 'third-slide',
  measures: [
    {
      id: 'third-slide/pull',
      name: 'Pull of a slide that is moved while playing',
      part: 'the-slides',
      places: ['first-slide', 'third-slide'],
      ways: [
        pullByHand(upTo(1), upTo(2), {
          0: 'runs by itself',
          1: 'runs at a touch',
          2: 'drags a little',
          3: 'drags, or scrapes',
          4: 'heavy',
          5: 'stuck: force nothing',
        }),
      ],
      every: estimate(30),
      work: 'slide-freed',
      renewedBy: ['brass/stuck', 'wind/bench-service', 'brass/dent'],
    },
  ],
};

export const piston: MeasurePage = {
  id: 'piston',
  measures: [
    {
      id: 'piston/return',
      name: 'How often the valve hangs',
      part: 'valve-block',
      places: ['first-valve', 'second-valve', 'third-valve'],
      ways: [
        {
          id: 'of-ten',
          unit: 'count',
          range: { least: 0, most: 10, step: 1 },
          says: { 10: 'sticks each time' },
          how: 'Before oiling: press it slowly and let go, ten times. Count how often it hangs on the way up.',
          limits: { good: none, sooner: upTo(2) },
          mark: 'estimate',
        },
        {
          id: 'slow-film',
          unit: 'seconds',
          range: { least: 0, most: 5, step: 0.05 },
          how: 'Film it in slow motion with the finger taken off, and read the time of its way up.',
          tool: 'a telephone that films in slow motion',
          limits: { good: { below: 0.3 } },
          mark: 'estimate',
        },
      ],
      every: estimate(30),
      work: 'valve-fit',
      renewedBy: ['wind/bench-service'],
    },
    {
      id: 'piston/side-play',
      name: 'Side play of the valve',
      part: 'valve-block',
      places: ['first-valve', 'second-valve', 'third-valve'],
      ways: [
        {
          id: 'by-hand',
          unit: 'degree',
          range: { least: 0, most: 2, step: 1 },
          says: { 0: 'none', 1: 'felt', 2: 'clear' },
          how: 'Valve up, move its button to the side with one finger.',
          limits: { good: none, sooner: upTo(1) },
          mark: 'general',
        },
      ],
      every: HALF_YEAR,
      work: 'valve-fit',
      renewedBy: ['wind/bench-service'],
    },
  ],
};

export const rotary: MeasurePage = {
  id: 'rotary',
  measures: [
    {
      id: 'rotary/play',
      name: 'Play at the rotor’s bearing',
      part: 'the-slides',
      places: ['first-valve', 'second-valve', 'third-valve'],
      ways: [
        {
          id: 'by-hand',
          unit: 'degree',
          range: { least: 0, most: 2, step: 1 },
          says: { 0: 'none', 1: 'felt', 2: 'clear' },
          how: 'Take the stop arm between two fingers and try whether it moves sideways. No cap comes off.',
          limits: { good: none, sooner: upTo(1) },
          mark: 'estimate',
        },
      ],
      every: HALF_YEAR,
      work: 'valve-fit',
      renewedBy: ['wind/bench-service', 'rotary-brass/rotors-bench'],
    },
    {
      id: 'rotary/string',
      name: 'String of the rotor',
      part: 'the-slides',
      places: ['first-valve', 'second-valve', 'third-valve'],
      ways: [
        {
          id: 'by-eye',
          unit: 'degree',
          range: { least: 0, most: 2, step: 1 },
          says: { 0: 'sound', 1: 'fluffy', 2: 'broken' },
          how: 'Look along the string where it bends round its screw. A rotor moved by a rod has none: leave it out.',
          limits: { good: none, sooner: upTo(1) },
          mark: 'estimate',
        },
      ],
      every: QUARTER,
      work: 'rotor-string',
      renewedBy: ['wind/bench-service', 'rotary-brass/rotors-bench'],
    },
  ],
};

export const handSlide: MeasurePage = {
  id: 'hand-slide',
  measures: [
    {
      id: 'hand-slide/drag',
      name: 'Drag of the hand slide over its whole way',
      part: 'hand-slide',
      ways: [
        {
          ...pullByHand(upTo(1), upTo(2), {
            0: 'runs by its own weight',
            1: 'runs at a touch',
            2: 'drags a little',
            3: 'drags',
            4: 'heavy',
            5: 'stuck: force nothing',
          }),
          how: 'Before oiling: hold the inner slide, let the outer one run slowly to the last position and back, a hand under it.',
        },
      ],
      every: estimate(30),
      work: 'hand-slide-trued',
      renewedBy: ['trombone/outer-slide-bench', 'wind/bench-service'],
    },
    {
      id: 'hand-slide/scrape',
      name: 'Scraping of the hand slide',
      part: 'hand-slide',
      ways: [
        {
          id: 'by-ear',
          unit: 'degree',
          range: { least: 0, most: 1, step: 1 },
          says: { 0: 'nothing heard', 1: 'scrapes' },
          how: 'Move it slowly with your ear near it.',
          limits: { good: none, sooner: none },
          mark: 'estimate',
        },
      ],
      every: estimate(30),
      work: 'hand-slide-trued',
      renewedBy: ['trombone/outer-slide-bench', 'wind/bench-service'],
    },
  ],
};
