import { airReadingFact } from '#contract/air.ts';
import { benchTermsFact, handoverFact } from '#contract/bench.ts';
import { calendarImportFact } from '#contract/calendar-in.ts';
import { eventFact } from '#contract/calendar.ts';
import { careFact, signFact, decisionFact, lastDoneFact, wetnessResetFact } from '#contract/care.ts';
import { conditionFact, conditionEndFact } from '#contract/conditions.ts';
import {
  faultEndFact,
  interviewAnswerFact,
  interviewFact,
  interviewOutcomeFact,
  mishapFact,
} from '#contract/faults.ts';
import { billFact, savedFact } from '#contract/costs.ts';
import { inspectionFact } from '#contract/inspections.ts';
import { departureFact, buildFact, serialFact } from '#contract/instruments.ts';
import { methodChoiceFact, methodSetFact } from '#contract/methods.ts';
import { runFact } from '#contract/packup.ts';
import { profileFact, runWayFact, minderFact } from '#contract/players.ts';
import { playFact, eveningFact } from '#contract/plays.ts';
import { reedBoxFact, reedPlayFact, reedSaidFact, reedSessionFact } from '#contract/reeds.ts';
import { crowFact, examinationFact, lookFact, stepFact } from '#contract/doublereeds.ts';
import { settingsFact } from '#contract/settings.ts';
import { sittingTimeFact, sittingMoveFact } from '#contract/sittings.ts';

/** Every kind of fact that is posted, as the contract declares it. A new kind is its declaration and its line here. */
export const DECLARED = [
  airReadingFact,
  benchTermsFact,
  handoverFact,
  calendarImportFact,
  eventFact,
  careFact,
  signFact,
  decisionFact,
  lastDoneFact,
  wetnessResetFact,
  conditionFact,
  conditionEndFact,
  interviewFact,
  interviewAnswerFact,
  interviewOutcomeFact,
  mishapFact,
  faultEndFact,
  inspectionFact,
  billFact,
  savedFact,
  departureFact,
  serialFact,
  buildFact,
  methodChoiceFact,
  methodSetFact,
  runFact,
  profileFact,
  runWayFact,
  minderFact,
  settingsFact,
  playFact,
  eveningFact,
  reedBoxFact,
  reedPlayFact,
  reedSaidFact,
  reedSessionFact,
  examinationFact,
  lookFact,
  crowFact,
  stepFact,
  sittingTimeFact,
  sittingMoveFact,
] as const;

type Declared = (typeof DECLARED)[number];
type Correctable = Extract<Declared, { readonly correctable: true }>;
/** The kinds of which a wrong one is put right: each has its form. */
export type CorrectableKind = Correctable['kind'];
/** The declaration of a kind. */
export type DeclaredAs<Kind extends Declared['kind']> = Extract<Declared, { readonly kind: Kind }>;
