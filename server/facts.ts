import { aliasDefinition } from '#server/features/players/player-alias.fact.ts';
import { airReadingDefinition } from '#server/features/air/air-reading.fact.ts';
import { sittingTimeDefinition } from '#server/features/calendar/sitting-time.fact.ts';
import { calendarImportDefinition } from '#server/features/calendar/calendar-import.fact.ts';
import { benchTermsDefinition } from '#server/features/calendar/bench-terms.fact.ts';
import { sittingMoveDefinition } from '#server/features/calendar/sitting-move.fact.ts';
import { eventDefinition } from '#server/features/calendar/event.fact.ts';
import { tableImportDefinition } from '#server/features/data/table-import.fact.ts';
import { careDefinition } from '#server/features/care/care-done.fact.ts';
import { decisionDefinition } from '#server/features/care/decision.fact.ts';
import { lastDoneDefinition } from '#server/features/care/last-done.fact.ts';
import { signDefinition } from '#server/features/care/sign.fact.ts';
import { wetnessResetDefinition } from '#server/features/care/wetness-reset.fact.ts';
import { conditionEndDefinition } from '#server/features/conditions/condition-end.fact.ts';
import { conditionDefinition } from '#server/features/conditions/condition.fact.ts';
import { faultEndDefinition } from '#server/features/faults/fault-end.fact.ts';
import { interviewAnswerDefinition } from '#server/features/faults/interview-answer.fact.ts';
import { interviewDefinition } from '#server/features/faults/interview.fact.ts';
import { interviewOutcomeDefinition } from '#server/features/faults/interview-outcome.fact.ts';
import { mishapDefinition } from '#server/features/faults/mishap.fact.ts';
import { billDefinition } from '#server/features/costs/bill.fact.ts';
import { savedDefinition } from '#server/features/costs/saved.fact.ts';
import { handoverDefinition } from '#server/features/bench/handover.fact.ts';
import { inspectionDefinition } from '#server/features/inspections/inspection.fact.ts';
import { buildDefinition } from '#server/features/instruments/build.fact.ts';
import { departureDefinition } from '#server/features/instruments/departure.fact.ts';
import { serialDefinition } from '#server/features/instruments/serial.fact.ts';
import { instrumentDefinition } from '#server/features/instruments/instrument.fact.ts';
import { methodChoiceDefinition } from '#server/features/methods/method-choice.fact.ts';
import { methodSetDefinition } from '#server/features/methods/method-set.fact.ts';
import { runEventDefinition } from '#server/features/packup/run-event.fact.ts';
import { runDefinition } from '#server/features/packup/run.fact.ts';
import { playerDefinition } from '#server/features/players/player.fact.ts';
import { minderDefinition } from '#server/features/players/minder.fact.ts';
import { profileDefinition } from '#server/features/players/profile.fact.ts';
import { runWayDefinition } from '#server/features/players/run-way.fact.ts';
import { eveningDefinition } from '#server/features/plays/evening.fact.ts';
import { playDefinition } from '#server/features/plays/play.fact.ts';
import { reedBoxDefinition } from '#server/features/reeds/reed-box.fact.ts';
import { reedPlayDefinition } from '#server/features/reeds/reed-play.fact.ts';
import { reedSaidDefinition } from '#server/features/reeds/reed-said.fact.ts';
import { reedSessionDefinition } from '#server/features/reeds/reed-session.fact.ts';
import { crowDefinition } from '#server/features/doublereeds/crow.fact.ts';
import { examinationDefinition } from '#server/features/doublereeds/examination.fact.ts';
import { lookDefinition } from '#server/features/doublereeds/look.fact.ts';
import { stepDefinition } from '#server/features/doublereeds/step.fact.ts';
import { settingsDefinition } from '#server/features/settings/settings.fact.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** Every kind of fact the record knows. A new kind is its definition and its line here. */
export const FACTS = [
  playerDefinition,
  profileDefinition,
  runWayDefinition,
  minderDefinition,
  settingsDefinition,
  tableImportDefinition,
  aliasDefinition,
  instrumentDefinition,
  buildDefinition,
  departureDefinition,
  serialDefinition,
  playDefinition,
  eveningDefinition,
  airReadingDefinition,
  eventDefinition,
  sittingTimeDefinition,
  sittingMoveDefinition,
  calendarImportDefinition,
  benchTermsDefinition,
  reedBoxDefinition,
  reedPlayDefinition,
  reedSaidDefinition,
  reedSessionDefinition,
  examinationDefinition,
  lookDefinition,
  crowDefinition,
  stepDefinition,
  runDefinition,
  runEventDefinition,
  careDefinition,
  lastDoneDefinition,
  signDefinition,
  decisionDefinition,
  wetnessResetDefinition,
  methodChoiceDefinition,
  methodSetDefinition,
  conditionDefinition,
  conditionEndDefinition,
  interviewDefinition,
  interviewAnswerDefinition,
  interviewOutcomeDefinition,
  mishapDefinition,
  inspectionDefinition,
  handoverDefinition,
  billDefinition,
  savedDefinition,
  faultEndDefinition,
] as readonly AnyFact<Services>[];
