import type { LayerUse, PracticeLayer } from '#core/care/practice-layer.ts';
import { bambooFlute } from '#core/care/tables/bamboo-flute.ts';
import { bassClarinet } from '#core/care/tables/bass-clarinet.ts';
import { bassoon } from '#core/care/tables/bassoon.ts';
import { brass } from '#core/care/tables/brass.ts';
import { clarinet } from '#core/care/tables/clarinet.ts';
import { corAnglais } from '#core/care/tables/cor-anglais.ts';
import { doubleReed } from '#core/care/tables/double-reed.ts';
import { flute } from '#core/care/tables/flute.ts';
import { highlandPipes } from '#core/care/tables/highland-pipes.ts';
import { horn } from '#core/care/tables/horn.ts';
import { keyed } from '#core/care/tables/keyed.ts';
import { lowBrass } from '#core/care/tables/low-brass.ts';
import { oboe } from '#core/care/tables/oboe.ts';
import { piccolo } from '#core/care/tables/piccolo.ts';
import { pistonBrass } from '#core/care/tables/piston-brass.ts';
import { rotaryBrass } from '#core/care/tables/rotary-brass.ts';
import { rotaryTuba } from '#core/care/tables/rotary-tuba.ts';
import { saxophone } from '#core/care/tables/saxophone.ts';
import { singleReed } from '#core/care/tables/single-reed.ts';
import { sousaphone } from '#core/care/tables/sousaphone.ts';
import { swab } from '#core/care/tables/swab.ts';
import { tenons } from '#core/care/tables/tenons.ts';
import { trombone } from '#core/care/tables/trombone.ts';
import { tuba } from '#core/care/tables/tuba.ts';
import { wind } from '#core/care/tables/wind.ts';
import { woodenBore } from '#core/care/tables/wooden-bore.ts';
import type { KindId } from '#core/instruments/kind.ts';

const pages = (...layers: readonly (PracticeLayer | LayerUse)[]): readonly LayerUse[] =>
  layers.map((one) => ('layer' in one ? one : { layer: one }));

const inWood: LayerUse = { layer: woodenBore, when: { body: ['wood'] } };
const withPistons: LayerUse = {
  layer: pistonBrass,
  when: { valves: ['piston'] },
  without: ['piston-brass/lift-by-block'],
};
/** On the cor anglais the reed goes onto the bocal, not into a well. */
const oboeJoints: LayerUse = { layer: oboe, without: ['oboe/reed-in', 'oboe/light-check'] };
/** Bamboo and pipes have no pads and no mechanism: the book has no yearly bench service for them. */
const windUnserviced: LayerUse = { layer: wind, without: ['wind/bench-service'] };
/** At home the pipes are laid out to dry, not cased. */
const windUncased: LayerUse = { layer: wind, without: ['wind/bench-service', 'wind/case-away'] };
const sax = pages(wind, swab, keyed, singleReed, saxophone);
/** Only the small ones are lifted round the valve block with one hand. */
const lowPistonBrass: LayerUse = { layer: pistonBrass, without: ['piston-brass/lift-by-block'] };
const lowByTubing: LayerUse = { layer: lowBrass, without: ['low-brass/lift'] };
/** A horn is emptied by turning it and pulling slides. */
const brassTurned: LayerUse = { layer: brass, without: ['brass/empty-water', 'brass/water-keys'] };
const pistons = pages(wind, brass, pistonBrass);
const lowPistons = pages(wind, brass, lowPistonBrass, lowBrass);

/** Which pages of the book each kind is made of, common pages first. A kind without pages does not compile. */
export const PAGES = {
  clarinet: pages(wind, swab, keyed, tenons, inWood, singleReed, clarinet),
  'bass-clarinet': pages(wind, swab, keyed, tenons, inWood, singleReed, bassClarinet),
  'soprano-saxophone': sax,
  'alto-saxophone': sax,
  'tenor-saxophone': sax,
  'baritone-saxophone': sax,
  oboe: pages(wind, swab, keyed, tenons, inWood, doubleReed, oboe),
  'cor-anglais': pages(wind, swab, keyed, tenons, inWood, doubleReed, oboeJoints, corAnglais),
  bassoon: pages(wind, swab, keyed, tenons, doubleReed, bassoon),
  flute: pages(wind, swab, keyed, flute),
  piccolo: pages(wind, swab, keyed, inWood, flute, piccolo),
  'bamboo-flute': pages(windUnserviced, swab, bambooFlute),
  'highland-pipes': pages(windUncased, highlandPipes),
  trumpet: pistons,
  cornet: pistons,
  flugelhorn: pistons,
  horn: pages(wind, brassTurned, rotaryBrass, horn),
  trombone: pages(wind, brass, trombone, { layer: rotaryBrass, when: { rotor: ['one'] } }),
  baritone: lowPistons,
  euphonium: lowPistons,
  tuba: pages(
    wind,
    brass,
    lowByTubing,
    tuba,
    withPistons,
    { layer: rotaryBrass, when: { valves: ['rotary'] } },
    { layer: rotaryTuba, when: { valves: ['rotary'] } },
  ),
  sousaphone: pages(wind, brass, lowPistonBrass, lowByTubing, tuba, sousaphone),
} as const satisfies Record<KindId, readonly LayerUse[]>;
