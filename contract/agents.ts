import { array, boolean, object, type InferType } from 'yup';
import { SURFACE_IDS, VERDICTS } from '#core/book/agent.ts';
import { MARKS } from '#core/explain/explained.ts';
import { instrumentId, text, word } from '#contract/scalars.ts';

export const agentPaths = {
  list: '/api/agents',
  verdicts: (agentId: string, instrumentId: string, today: string) =>
    `/api/agents/${agentId}/verdicts/${instrumentId}?today=${today}`,
  anywhere: (agentId: string) => `/api/agents/${agentId}/verdicts`,
  mixing: (one: string, other: string) => `/api/agents/${one}/with/${other}`,
} as const;

/** What may be asked about: liquids, greases, cloths and tools, under their headings. */
export const agentList = array(
  object({
    id: text().required(),
    name: text().required(),
    group: text().required(),
    alsoCalled: array(text().required()).required(),
  })
    .exact()
    .required(),
).required();
export type AgentList = InferType<typeof agentList>;

/** May this agent touch the parts of this instrument? */
export const verdictsView = object({
  agentId: text().required(),
  agentName: text().required(),
  /** Null: on anything, whatever it is made of. */
  instrumentId: instrumentId().nullable().defined(),
  cautions: array(text().required()).required(),
  parts: array(
    object({
      surface: word(SURFACE_IDS).required(),
      name: text().required(),
      material: text().nullable().defined(),
      verdict: word(VERDICTS).required(),
      why: text().required(),
      mark: word(MARKS).required(),
    })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type VerdictsView = InferType<typeof verdictsView>;

export const mixingView = object({
  danger: boolean().strict().required(),
  care: boolean().strict().required(),
  text: text().required(),
})
  .exact()
  .required();
export type MixingView = InferType<typeof mixingView>;
