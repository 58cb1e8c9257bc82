import type { BuildField, BuildOption } from '#core/instruments/build.ts';
import type { BuildFieldOf } from '#core/instruments/kind.ts';

/** The question for each field and the words for each of its options: one wording for all kinds. */
const WORDS = {
  body: {
    question: 'What is the body made of?',
    options: { wood: 'Wood', plastic: 'Plastic', 'hard-rubber': 'Hard rubber', metal: 'Metal', bamboo: 'Bamboo' },
  },
  tenons: {
    question: 'What are the tenons covered with?',
    options: { cork: 'Cork', thread: 'Thread', metal: 'Bare metal', plastic: 'Bare plastic' },
  },
  pads: {
    question: 'What are the pads?',
    options: { skin: 'Skin', leather: 'Leather', cork: 'Cork', synthetic: 'Synthetic' },
  },
  mouthpiece: {
    question: 'What is the mouthpiece made of?',
    options: { 'hard-rubber': 'Hard rubber', plastic: 'Plastic', glass: 'Glass', metal: 'Metal' },
  },
  finish: {
    question: 'What is the finish?',
    options: {
      lacquer: 'Lacquer',
      silver: 'Silver or silver plate',
      'bare-brass': 'Bare brass',
      'nickel-silver': 'Nickel silver',
    },
  },
  brassMouthpiece: {
    question: 'What is the mouthpiece?',
    options: { plated: 'Plated', 'bare-brass': 'Bare brass', stainless: 'Solid stainless steel' },
  },
  valves: { question: 'Which valves has it?', options: { piston: 'Pistons', rotary: 'Rotors' } },
  rotor: { question: 'Has it a valve?', options: { none: 'No valve', one: 'A rotor' } },
  bell: { question: 'Does the bell come off?', options: { fixed: 'Fixed bell', screw: 'Screw bell' } },
  pieces: { question: 'How many pieces?', options: { 'one-piece': 'One piece', 'two-piece': 'Two pieces' } },
  size: {
    question: 'Which size is it?',
    options: { soprano: 'Soprano', alto: 'Alto', tenor: 'Tenor', bass: 'Bass' },
  },
  swabTail: {
    question: 'Which pull-through?',
    options: { 'two-cords': 'A cord at both ends', 'no-tail': 'No tail cord' },
  },
  scrape: {
    question: 'How are its reeds scraped?',
    options: { long: 'Long scrape', short: 'Short scrape', unknown: 'Not known' },
  },
  bag: { question: 'What is the bag?', options: { hide: 'Hide', synthetic: 'Synthetic' } },
  blowpipe: {
    question: 'What are the mouthpiece and blowpipe made of?',
    options: { plastic: 'Plastic', wood: 'Wood' },
  },
  blowpipeValve: {
    question: 'Which valve has the blowpipe?',
    options: { flap: 'A flap', 'in-line': 'An in-line valve' },
  },
  waterTrap: { question: 'Is there a water trap?', options: { yes: 'Yes', no: 'No' } },
} as const satisfies {
  readonly [Field in BuildField]: {
    readonly question: string;
    readonly options: { readonly [Option in BuildOption<Field>]: string };
  };
};

/** Asks for a field of a kind: the options this kind comes in, the usual one first named. */
export function ask<Field extends BuildField>(
  field: Field,
  options: readonly BuildOption<Field>[],
  usual: BuildOption<Field>,
): BuildFieldOf {
  const words: { readonly question: string; readonly options: Readonly<Record<string, string>> } = WORDS[field];
  return {
    field,
    question: words.question,
    options: options.map((id) => ({ id, name: words.options[id] ?? id })),
    usual,
  } as unknown as BuildFieldOf;
}
