import type { InstrumentKind, KindId } from '#core/instruments/kind.ts';
import { bambooFlute } from '#core/instruments/tables/bamboo-flute.ts';
import { bassClarinet } from '#core/instruments/tables/bass-clarinet.ts';
import { bassoon } from '#core/instruments/tables/bassoon.ts';
import { clarinet } from '#core/instruments/tables/clarinet.ts';
import { corAnglais } from '#core/instruments/tables/cor-anglais.ts';
import { flute } from '#core/instruments/tables/flute.ts';
import { highlandPipes } from '#core/instruments/tables/highland-pipes.ts';
import { horn } from '#core/instruments/tables/horn.ts';
import { oboe } from '#core/instruments/tables/oboe.ts';
import {
  baritone,
  cornet,
  euphonium,
  flugelhorn,
  sousaphone,
  trumpet,
  tuba,
} from '#core/instruments/tables/piston-brass.ts';
import { piccolo } from '#core/instruments/tables/piccolo.ts';
import {
  altoSaxophone,
  baritoneSaxophone,
  sopranoSaxophone,
  tenorSaxophone,
} from '#core/instruments/tables/saxophones.ts';
import { trombone } from '#core/instruments/tables/trombone.ts';

/** The registration of every kind: a kind id without a table does not compile. */
export const KINDS: Readonly<Record<KindId, InstrumentKind>> = {
  clarinet,
  'bass-clarinet': bassClarinet,
  'soprano-saxophone': sopranoSaxophone,
  'alto-saxophone': altoSaxophone,
  'tenor-saxophone': tenorSaxophone,
  'baritone-saxophone': baritoneSaxophone,
  oboe,
  'cor-anglais': corAnglais,
  bassoon,
  flute,
  piccolo,
  'bamboo-flute': bambooFlute,
  'highland-pipes': highlandPipes,
  trumpet,
  cornet,
  flugelhorn,
  horn,
  trombone,
  baritone,
  euphonium,
  tuba,
  sousaphone,
};

export const kindOf = (id: KindId): InstrumentKind => KINDS[id];
