import { estimate } from '#core/explain/explained.ts';
import type { FaultFigures } from '#core/book/fault.ts';

/** What the words of these tables mean in figures: nothing was measured, all of them are estimates. */
export const FAULT_FIGURES: FaultFigures = {
  prior: { common: estimate(0.06), ordinary: estimate(0.025), uncommon: estimate(0.01), rare: estimate(0.004) },
  link: { usually: estimate(0.85), often: estimate(0.6), sometimes: estimate(0.3), seldom: estimate(0.08) },
  leak: { complaint: estimate(0.02), look: estimate(0.005), trial: estimate(0.03) },
  risk: { weak: estimate(2), clear: estimate(4), strong: estimate(8) },
  mostPrior: estimate(0.6),
  wrong: estimate(0.05),
  notInList: estimate(0.02),
  notInListShows: estimate(0.3),
  nearlySure: estimate(0.9),
  likely: estimate(0.5),
  possible: estimate(0.1),
  effortOfAnswer: estimate(0.5),
  thinkingBack: estimate(0.5),
  effortApart: estimate(2),
  effortTool: estimate(3),
  weightOfPrior: estimate(10),
  mishapDays: estimate(14),
  helps: estimate(0.85),
};
