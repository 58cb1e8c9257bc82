import { airReadingFact } from '#server/features/air/air-reading.fact.ts';
import { sittingTimeFact } from '#server/features/calendar/sitting-time.fact.ts';
import { calendarImportFact } from '#server/features/calendar/calendar-import.fact.ts';
import { benchTermsFact } from '#server/features/calendar/bench-terms.fact.ts';
import { sittingMoveFact } from '#server/features/calendar/sitting-move.fact.ts';
import { eventFact } from '#server/features/calendar/event.fact.ts';
import { careFact } from '#server/features/care/care-done.fact.ts';
import { decisionFact } from '#server/features/care/decision.fact.ts';
import { lastDoneFact } from '#server/features/care/last-done.fact.ts';
import { signFact } from '#server/features/care/sign.fact.ts';
import { wetnessResetFact } from '#server/features/care/wetness-reset.fact.ts';
import { conditionEndFact } from '#server/features/conditions/condition-end.fact.ts';
import { conditionFact } from '#server/features/conditions/condition.fact.ts';
import { buildFact } from '#server/features/instruments/build.fact.ts';
import { departureFact } from '#server/features/instruments/departure.fact.ts';
import { instrumentFact } from '#server/features/instruments/instrument.fact.ts';
import { methodChoiceFact } from '#server/features/methods/method-choice.fact.ts';
import { methodSetFact } from '#server/features/methods/method-set.fact.ts';
import { runEventFact } from '#server/features/packup/run-event.fact.ts';
import { runFact } from '#server/features/packup/run.fact.ts';
import { playerFact } from '#server/features/players/player.fact.ts';
import { minderFact } from '#server/features/players/minder.fact.ts';
import { profileFact } from '#server/features/players/profile.fact.ts';
import { runWayFact } from '#server/features/players/run-way.fact.ts';
import { eveningFact } from '#server/features/plays/evening.fact.ts';
import { playFact } from '#server/features/plays/play.fact.ts';
import { reedBoxFact } from '#server/features/reeds/reed-box.fact.ts';
import { reedPlayFact } from '#server/features/reeds/reed-play.fact.ts';
import { reedSaidFact } from '#server/features/reeds/reed-said.fact.ts';
import { reedSessionFact } from '#server/features/reeds/reed-session.fact.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** Every kind of fact the record knows. A new kind is its definition and its line here. */
export const FACTS = [
  playerFact,
  profileFact,
  runWayFact,
  minderFact,
  instrumentFact,
  buildFact,
  departureFact,
  playFact,
  eveningFact,
  airReadingFact,
  eventFact,
  sittingTimeFact,
  sittingMoveFact,
  calendarImportFact,
  benchTermsFact,
  reedBoxFact,
  reedPlayFact,
  reedSaidFact,
  reedSessionFact,
  runFact,
  runEventFact,
  careFact,
  lastDoneFact,
  signFact,
  decisionFact,
  wetnessResetFact,
  methodChoiceFact,
  methodSetFact,
  conditionFact,
  conditionEndFact,
] as readonly AnyFact<Services>[];
