import { estimate, practice } from '#core/explain/explained.ts';
import { blot, drain, oil, open, shut, shutEmpty, take, unshield, wipeOff } from '#core/book/deed.ts';
import type { Page, PageUse, StepSaid } from '#core/book/page.ts';
import { bambooFlute } from '#core/tables/care/bamboo-flute.ts';
import { baritoneSaxophone } from '#core/tables/care/baritone-saxophone.ts';
import { bassClarinet } from '#core/tables/care/bass-clarinet.ts';
import { bassoon } from '#core/tables/care/bassoon.ts';
import { brass } from '#core/tables/care/brass.ts';
import { clarinet } from '#core/tables/care/clarinet.ts';
import { corAnglais } from '#core/tables/care/cor-anglais.ts';
import { doubleReed } from '#core/tables/care/double-reed.ts';
import { flute } from '#core/tables/care/flute.ts';
import { highlandPipes } from '#core/tables/care/highland-pipes.ts';
import { horn } from '#core/tables/care/horn.ts';
import { keyed } from '#core/tables/care/keyed.ts';
import { lowBrass } from '#core/tables/care/low-brass.ts';
import { oboe } from '#core/tables/care/oboe.ts';
import { onTheWay } from '#core/tables/care/on-the-way.ts';
import { piccolo } from '#core/tables/care/piccolo.ts';
import { pistonBrass } from '#core/tables/care/piston-brass.ts';
import { recorder } from '#core/tables/care/recorder.ts';
import { rotaryBrass } from '#core/tables/care/rotary-brass.ts';
import { rotaryTuba } from '#core/tables/care/rotary-tuba.ts';
import { bathOf, keysTake } from '#core/tables/care/sizes.ts';
import { saxophoneInOne } from '#core/tables/care/saxophone-in-one.ts';
import { saxophone } from '#core/tables/care/saxophone.ts';
import { OLD_RUBBER, singleReed } from '#core/tables/care/single-reed.ts';
import { sousaphone } from '#core/tables/care/sousaphone.ts';
import { swab } from '#core/tables/care/swab.ts';
import { tenons } from '#core/tables/care/tenons.ts';
import { trombone } from '#core/tables/care/trombone.ts';
import { tuba } from '#core/tables/care/tuba.ts';
import {
  windCapped,
  windOfBassoon,
  windOfDoubleReed,
  windOfSaxophone,
  windOfTrombone,
  windShouldered,
} from '#core/tables/care/set-aside.ts';
import { wind } from '#core/tables/care/wind.ts';
import { woodenBore } from '#core/tables/care/wooden-bore.ts';
import type { KindId } from '#core/instruments/kind.ts';

const pages = (...made: readonly (Page | PageUse)[]): readonly PageUse[] =>
  made.map((one) => ('page' in one ? one : { page: one }));

const BY_FEATHER = {
  heading: 'Oil the bore thinly',
  how: 'Rub about 3 drops into a separate silk swab, blot it and draw it through the lower joint. The upper joint gets an oiled, blotted feather.',
  does: [oil('lower-joint'), oil('upper-joint')],
} as const;
const inWood: PageUse = { page: woodenBore, when: { body: ['wood'] } };
/** The head of a piccolo is closed by its cork: nothing is drawn through it. */
const HEAD_TO_AND_FRO = {
  heading: 'Oil the bore thinly',
  how: 'Rub about 3 drops into silk on the rod and blot it. Wipe the head with it, in and out the same way, and draw it through the body.',
  does: [oil('head-joint'), oil('body')],
} as const;
const inWoodToTheHead: PageUse = {
  page: woodenBore,
  when: { body: ['wood'] },
  says: {
    'wooden-bore/oil-once': HEAD_TO_AND_FRO,
    'wooden-bore/oil-twice': HEAD_TO_AND_FRO,
    'wooden-bore/dry-oiled': {
      how: 'Wipe the head with a dry cloth on the rod and draw one through the body. Then slide the paper slips out.',
      does: [wipeOff('head-joint'), blot('body'), unshield('pads')],
    },
  },
};
/** Where the swab has no tail cord nothing is drawn through the upper joint, the oil neither: a feather carries it. */
const inWoodByFeather: PageUse = {
  page: woodenBore,
  when: { body: ['wood'], swabTail: ['no-tail'] },
  says: {
    'wooden-bore/oil-once': BY_FEATHER,
    'wooden-bore/oil-twice': BY_FEATHER,
    'wooden-bore/dry-oiled': {
      how: 'Draw a dry swab through the lower joint and a dry feather through the upper. Then slide the paper slips out.',
      does: [blot('lower-joint'), wipeOff('upper-joint'), unshield('pads')],
    },
  },
};
const inWoodDrawn: PageUse = { page: woodenBore, when: { body: ['wood'], swabTail: ['two-cords'] } };
const withPistons: PageUse = {
  page: pistonBrass,
  when: { valves: ['piston'] },
  without: ['piston-brass/lift-by-block'],
  says: bathOf(2.5),
};
/** On the cor anglais the reed goes onto the bocal, not into a well. */
const oboeJoints: PageUse = { page: oboe, without: ['oboe/reed-in', 'oboe/light-check'] };
/**
 * Bamboo has no mechanism: the book has no yearly bench service for it. It lies in a padded bag, not in a case. A crack is
 * said by its own page, of whatever it is made.
 */
const windInBag: PageUse = {
  page: wind,
  without: ['wind/bench-service', 'wind/crack'],
  says: {
    'wind/case-flat': { heading: 'Lay the bag flat and open it', how: 'Best on a carpet, never on a lap or chair.' },
    'wind/set-aside': {
      heading: 'Lay it on its bag until you play it',
      how: 'Its cap stays on the blowing edge. Lay it where nobody passes.',
    },
    'wind/pieces-in-wells': {
      heading: 'Leave nothing loose in the bag',
      how: 'The flute lies in it with its blowing edge up and capped.',
      harm: 'loose things hammer about and chip the edge',
    },
    'wind/latch-lid': {
      heading: 'Close the bag',
      how: 'Lay it down softly, away from heat, draught and sun.',
      harm: 'the instrument slides out and falls',
    },
    'wind/shake-case': { heading: 'Shake the closed bag gently' },
    'wind/look-at-case': {
      heading: 'Look at the bag and its padding',
      how: 'The padding holds and the name tag is on.',
    },
  },
};
/** Block and windway are kept free of oil: only middle and foot get it (common practice). */
const OIL_BELOW_HEAD = {
  heading: 'Oil the middle joint and the foot thinly',
  how: 'Rub about 3 drops into the cloth and blot it. Draw it through both. Keep it away from the head.',
  does: [oil('middle-joint'), oil('foot-joint')],
  cautions: [
    'Only when the bore is swabbed and dry.',
    'Do as the maker’s leaflet says. Waxed wood takes no oil.',
    'Do not play it for a day.',
  ],
} as const;
const DRAWN_DRY = 'Draw a dry cloth through both joints.';
const inWoodBelowHead: PageUse = {
  page: woodenBore,
  when: { body: ['wood'], size: ['soprano', 'alto'] },
  without: ['wooden-bore/shield-pads'],
  says: {
    'wooden-bore/oil-once': OIL_BELOW_HEAD,
    'wooden-bore/oil-twice': OIL_BELOW_HEAD,
    'wooden-bore/dry-oiled': {
      heading: 'Dry the oiled joints',
      how: DRAWN_DRY,
      harm: 'oil runs into the finger holes',
      does: [blot('middle-joint'), blot('foot-joint')],
    },
  },
};
const inWoodWithKeys: PageUse = {
  page: woodenBore,
  when: { body: ['wood'], size: ['tenor', 'bass'] },
  says: {
    'wooden-bore/oil-once': OIL_BELOW_HEAD,
    'wooden-bore/oil-twice': OIL_BELOW_HEAD,
    'wooden-bore/dry-oiled': {
      how: `${DRAWN_DRY} Then slide the paper slips out.`,
      does: [blot('middle-joint'), blot('foot-joint'), unshield('pads')],
    },
  },
};
const FORCED_WHY = 'A joint that goes on stiffly is forced, and forcing splits it.';
const FORCED = 'the joint has to be forced, and splits';
/** Its tenons sit at no keys. */
const tenonsKeyless: PageUse = {
  page: tenons,
  says: {
    'tenons/grease-stiff-cork': { harm: FORCED },
    'tenons/grease-new-cork': { harm: FORCED },
    'tenons/grease-corks': { harm: FORCED },
  },
  calls: { 'tenons/grease': { why: FORCED_WHY }, 'tenons/grease-stiff': { why: FORCED_WHY } },
};
/** It has no keys that could lie uppermost. */
const keylessOnTheWay: PageUse = {
  page: onTheWay,
  says: { 'on-the-way/lay-out': { how: 'Lay each piece on a dry towel, away from heaters and the sun.' } },
  calls: {
    'on-the-way/cased-damp': { why: 'Damp works on in the shut case: it moulds, and what has swollen sits fast.' },
  },
};
/** The bench's yearly look is its own. */
const windOfRecorder: PageUse = { page: wind, without: ['wind/bench-service'] };
/** At home the pipes are laid out to dry, not cased. */
const windUncased: PageUse = {
  page: wind,
  without: ['wind/bench-service', 'wind/case-away', 'wind/shake-case'],
  says: {
    'wind/set-aside': {
      heading: 'Lay the pipes flat until you play them',
      how: 'Lay them on a table, the drones together, well back from its edge. Warm the chanter when the turn comes.',
    },
  },
};
/** Pipes are laid out in parts for the night: nothing goes back into the case. */
const pipesOnTheWay: PageUse = {
  page: onTheWay,
  without: ['on-the-way/swab-out', 'on-the-way/air', 'on-the-way/back'],
  says: {
    'on-the-way/lay-out': {
      heading: 'Open the case and lay the pipes on a cloth',
      how: 'Mounts scratch on anything hard. Keep away from heaters and the sun.',
    },
  },
  calls: { 'on-the-way/cased-damp': { why: 'Damp works on in the shut case: the bag moulds and drone reeds shut.' } },
};
/** Keys by their number: few on a piccolo, many and far apart on a baritone saxophone. */
const keyedOf = (minutes: number): PageUse => ({ page: keyed, says: keysTake(minutes) });
/** Lacquered keys are never cleaned with alcohol. */
const keyedSaxophone = (minutes: number): readonly PageUse[] => [
  { ...keyedOf(minutes), when: { finish: ['lacquer'] }, without: ['keyed/prop-open', 'keyed/alcohol-keys'] },
  { ...keyedOf(minutes), when: { finish: ['silver', 'bare-brass'] }, without: ['keyed/prop-open'] },
];
const HELD_BY_THREAD = 'Hold it by its thread. Blow it out, wipe it and lay it in a case with air holes.';
/** Reeds without a cork, which sit on a bocal and in no well. */
const ON_BOCAL = {
  'double-reed/reed-off': { how: HELD_BY_THREAD, harm: 'the blades split, or the tube tears at its wires' },
  'double-reed/dry-crowed': { how: HELD_BY_THREAD },
} as const satisfies PageUse['says'];
const doubleReedOnBocal: PageUse = { page: doubleReed, says: ON_BOCAL };
const doubleReedBassoon: PageUse = {
  page: doubleReed,
  says: {
    ...ON_BOCAL,
    'double-reed/into-cup': {
      how: 'They soak while you do the rest, right through, thread and back too.',
      // A bassoon reed is thicker: 5 at the least, 10 as a rule, 20 at the most (estimates of the practice book).
      wait: {
        minutes: estimate(10),
        most: estimate(20),
        why: 'the cane takes up water right through, about 10 min',
        until: ['double-reed/lamp'],
      },
    },
  },
};
/** A saxophone’s mouthpiece has no cork: that is on the neck. */
const singleReedUncorked: PageUse = {
  page: singleReed,
  says: {
    'single-reed/soak-mouthpiece': {
      heading: 'Soak the mouthpiece in mild acid',
      how: [
        'Use vinegar, lemon or mouthwash without alcohol, cool.',
        { say: OLD_RUBBER, when: { build: { mouthpiece: ['hard-rubber'] } } },
      ],
      cautions: ['Never use it together with bleach or peroxide.'],
    },
  },
};
const saxSwabbed = (minutes: number) =>
  pages(windOfSaxophone, onTheWay, swab, ...keyedSaxophone(minutes), singleReedUncorked);
const sax = (minutes: number) => [...saxSwabbed(minutes), ...pages(saxophone)];
/** Only the small ones are lifted round the valve block with one hand. */
const lowPistonBrass = (trumpets: number): PageUse => ({
  page: pistonBrass,
  without: ['piston-brass/lift-by-block'],
  says: bathOf(trumpets),
});
const lowByTubing: PageUse = { page: lowBrass, without: ['low-brass/lift'] };
/** Its one slide with a mark is set as it is lifted out. */
const brassOneMark: PageUse = { page: brass, without: ['brass/slides-to-marks'] };
/** With the bell on nobody stoops to the case: all parts are out of it, and it is shut, before the body is shouldered. */
const brassShouldered: PageUse = {
  ...brassOneMark,
  says: {
    // With the horn on the shoulder nobody wipes it well.
    'brass/wipe-outside': { after: ['brass/mouthpiece-off', 'sousaphone/body-down'] },
    'brass/shut-case': {
      heading: 'Take all the parts out and close the case',
      how: 'Neck, bits, bell and mouthpiece lie where nothing rolls. Latch the empty case.',
      does: [take('mouthpiece'), take('mouthpipe'), take('bell'), shutEmpty('case')],
    },
  },
};
/** The bassoon wipes its keys with its metal, a saxophone names the keys it leaves ajar. */
const keyedBassoon: PageUse = { ...keyedOf(8), without: ['keyed/wipe-keys'] };
/** A horn is emptied by turning it and pulling slides. */
const brassTurned: PageUse = {
  page: brass,
  without: ['brass/empty-water', 'brass/water-keys', 'brass/blow-water-out'],
};
/** What runs out of its slide is locked first, and the slide unlocked to be played on. */
const emptied = (slides: string): StepSaid => ({
  heading: 'Lock the slide, then empty the tuning slide',
  how: `Pull ${slides}, let it drip and put it back. Then unlock the slide.`,
  holdsNothing: true,
  does: [shut('slide-lock'), drain('tuning-slide'), open('slide-lock')],
});
/** A trombone without a rotor has no valve to press, and none that goes slow. */
const brassOfSlide: PageUse = {
  page: brass,
  when: { rotor: ['none'] },
  without: ['brass/lay-on-valves', 'brass/lift-by-slides'],
  calls: {
    'brass/empty-water': { why: 'Water stands in the slide and slows it.' },
    'brass/dent': { why: 'It changes pitch and air. On a slide it goes to the bench at once.' },
  },
  says: {
    'brass/slides-to-marks': {
      heading: 'Set the tuning slide to its mark',
      how: 'Move it straight, by both legs.',
      holdsNothing: true,
    },
    'brass/water-keys': { harm: 'the slide goes slow' },
    'brass/turn-it-out': emptied('the tuning slide'),
    'brass/grease-slides': {
      heading: 'Pull, wipe and grease the tuning slide',
      how: 'Wipe both legs, grease the inner ones thinly, work it and set it to its mark.',
      why: 'A greased slide keeps tight and stays free.',
      holdsNothing: true,
      repeats: { kind: 'fixed', count: practice(1), noun: 'slide' },
    },
  },
};
const brassOfSlideAndRotor: PageUse = {
  page: brass,
  when: { rotor: ['one'] },
  // Its tuning slide and the rotor’s own (common practice).
  says: {
    'brass/grease-slides': { repeats: { kind: 'fixed', count: practice(2), noun: 'slide' } },
    'brass/turn-it-out': emptied('the tuning slide and then the slide of the rotor'),
  },
};
/** A trombone has one rotor where it has any. */
const oneRotor: PageUse = {
  page: rotaryBrass,
  when: { rotor: ['one'] },
  says: { 'rotary-brass/oil-bearings': { repeats: { kind: 'fixed', count: practice(1), noun: 'rotor' } } },
};
const pistons = pages(wind, brass, pistonBrass);
const lowPistons = pages(wind, brass, lowPistonBrass(1.5), lowBrass);

/** Which pages of the book each kind is made of, common pages first. A kind without pages does not compile. */
export const PAGES_OF = {
  clarinet: pages(windCapped, onTheWay, swab, keyed, tenons, inWood, singleReed, clarinet),
  'bass-clarinet': pages(windCapped, onTheWay, swab, keyedOf(8), tenons, inWood, singleReed, bassClarinet),
  'soprano-saxophone': [...saxSwabbed(7), { page: saxophone, when: { pieces: ['two-piece'] } }, saxophoneInOne],
  'alto-saxophone': sax(8),
  'tenor-saxophone': sax(8),
  'baritone-saxophone': [...sax(10), ...pages(baritoneSaxophone)],
  oboe: pages(windOfDoubleReed, onTheWay, swab, keyedOf(7), tenons, inWoodDrawn, inWoodByFeather, doubleReed, oboe),
  'cor-anglais': pages(
    windOfDoubleReed,
    onTheWay,
    swab,
    keyedOf(7),
    tenons,
    inWoodDrawn,
    inWoodByFeather,
    doubleReedOnBocal,
    oboeJoints,
    corAnglais,
  ),
  bassoon: pages(windOfBassoon, onTheWay, swab, keyedBassoon, tenons, doubleReedBassoon, bassoon),
  flute: pages(wind, onTheWay, swab, keyedOf(5), flute),
  piccolo: pages(wind, onTheWay, swab, keyedOf(4), inWoodToTheHead, flute, piccolo),
  'bamboo-flute': pages(windInBag, swab, bambooFlute),
  recorder: pages(windOfRecorder, keylessOnTheWay, swab, tenonsKeyless, inWoodBelowHead, inWoodWithKeys, recorder),
  'highland-pipes': pages(windUncased, pipesOnTheWay, highlandPipes),
  trumpet: pistons,
  cornet: pistons,
  flugelhorn: pistons,
  horn: pages(wind, brassTurned, rotaryBrass, horn),
  trombone: pages(windOfTrombone, brassOfSlide, brassOfSlideAndRotor, trombone, oneRotor),
  baritone: lowPistons,
  euphonium: lowPistons,
  tuba: pages(
    wind,
    brassOneMark,
    lowByTubing,
    tuba,
    withPistons,
    { page: rotaryBrass, when: { valves: ['rotary'] } },
    { page: rotaryTuba, when: { valves: ['rotary'] } },
  ),
  sousaphone: pages(windShouldered, brassShouldered, lowPistonBrass(2.5), lowByTubing, tuba, sousaphone),
} as const satisfies Record<KindId, readonly PageUse[]>;
