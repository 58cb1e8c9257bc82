import { array, boolean, object } from 'yup';
import { ON_THE_WAY } from '#core/packup/on-the-way.ts';
import { PART_IDS } from '#core/instruments/kind.ts';
import { amount, careItemId, instrumentId, runStepKey, signId, stepId, text, word } from '#contract/scalars.ts';

const keptLook = object({
  question: text().required(),
  answers: array(
    object({
      id: text().required(),
      words: text().required(),
      sign: signId().nullable().defined(),
      notice: careItemId().nullable().defined(),
      endsItem: boolean().strict().required(),
      alsoEnds: array(careItemId().required()).required(),
    })
      .exact()
      .required(),
  ).required(),
}).exact();

/** A step as its run keeps it, see {@link import('#core/packup/kept-plan.ts').KeptStep}: the same in the file and on the wire. */
export const keptStep = object({
  key: runStepKey().required(),
  instrumentId: instrumentId().required(),
  id: stepId().required(),
  item: careItemId().required(),
  part: word(PART_IDS).required(),
  heading: text().required(),
  must: boolean().strict().required(),
  closing: boolean().strict().required(),
  look: keptLook.nullable().defined(),
  onlyLooks: boolean().strict().required(),
  calledBy: object({ look: stepId().required(), answers: array(text().required()).required() })
    .exact()
    .nullable()
    .defined(),
  unless: array(stepId().required()).required(),
  standsOn: array(stepId().required()).required(),
  wait: object({
    minutes: amount().min(0).required(),
    most: amount().min(0).nullable().defined(),
    why: text().required(),
    until: array(stepId().required()).required(),
  })
    .exact()
    .nullable()
    .defined(),
  alsoDoes: array(careItemId().required()).required(),
  away: word(ON_THE_WAY).required(),
  expects: text().nullable().defined(),
  passes: boolean().strict().required(),
  count: amount().integer().min(0).nullable().defined(),
  activeMinutes: amount().min(0).required(),
  startsAtMinute: amount().min(0).nullable().defined(),
})
  .exact()
  .required();

const keptLeftOut = object({
  steps: array(keptStep).min(1).required(),
  value: amount().min(0).required(),
  moreMinutes: amount().min(0).required(),
})
  .exact()
  .required();

/** The plan of a run without its reasons, which are data in the file and words on the wire. */
export const keptPlan = {
  steps: array(keptStep).required(),
  leftOut: array(keptLeftOut).required(),
  activeMinutes: amount().min(0).required(),
  elapsedMinutes: amount().min(0).required(),
};
