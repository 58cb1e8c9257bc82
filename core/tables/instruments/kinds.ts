import type { InstrumentKind, KindId } from '#core/instruments/kind.ts';
import { bambooFlute } from '#core/tables/instruments/bamboo-flute.ts';
import { bassClarinet } from '#core/tables/instruments/bass-clarinet.ts';
import { bassoon } from '#core/tables/instruments/bassoon.ts';
import { clarinet } from '#core/tables/instruments/clarinet.ts';
import { corAnglais } from '#core/tables/instruments/cor-anglais.ts';
import { flute } from '#core/tables/instruments/flute.ts';
import { highlandPipes } from '#core/tables/instruments/highland-pipes.ts';
import { horn } from '#core/tables/instruments/horn.ts';
import { oboe } from '#core/tables/instruments/oboe.ts';
import {
  baritone,
  cornet,
  euphonium,
  flugelhorn,
  sousaphone,
  trumpet,
  tuba,
} from '#core/tables/instruments/piston-brass.ts';
import { piccolo } from '#core/tables/instruments/piccolo.ts';
import {
  altoSaxophone,
  baritoneSaxophone,
  sopranoSaxophone,
  tenorSaxophone,
} from '#core/tables/instruments/saxophones.ts';
import { recorder } from '#core/tables/instruments/recorder.ts';
import { trombone } from '#core/tables/instruments/trombone.ts';

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
  recorder,
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
