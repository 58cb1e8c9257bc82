import { mayIUse } from '#core/agents/may-i-use.ts';
import { agentWith, type Book } from '#core/book/book.ts';
import { mixing } from '#core/agents/mixing.ts';
import { mayIUseAnywhere } from '#core/agents/anywhere.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { AgentList, MixingView, VerdictsView } from '#contract/agents.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { noInstrument, notFound, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

export const listAgents = ({ book }: Services): AgentList =>
  book.agents.map(({ id, name, group, alsoCalled = [] }) => ({ id, name, group, alsoCalled: [...alsoCalled] }));

/** The verdict for every part of one instrument; where practice differs, as it is done on it. */
export function verdictsFor(
  { book, readings }: Services,
  agentId: string,
  instrumentId: string,
  today: LocalDate,
): Outcome<VerdictsView, Failure> {
  const agent = agentWith(book, agentId);
  if (!agent) return fail(notFound('agentId', { code: 'not-in-the-book' }));
  const reading = readings.of(instrumentId);
  if (!reading) return fail(noInstrument());
  const { methods } = reading.situation(today);
  return succeed({
    agentId,
    agentName: agent.name,
    instrumentId: reading.instrument.id,
    cautions: [...(agent.cautions ?? [])],
    parts: mayIUse(agent, methods.context, methods).map(({ surface, verdict, why, mark }) => ({
      surface: surface.id,
      name: surface.name,
      material: surface.material,
      verdict,
      why,
      mark,
    })),
  });
}

/** What the book says of an agent on anything; where practice differs it says so, for no instrument decides. */
export function verdictsAnywhere({ book }: { readonly book: Book }, agentId: string): Outcome<VerdictsView, Failure> {
  const agent = agentWith(book, agentId);
  if (!agent) return fail(notFound('agentId', { code: 'not-in-the-book' }));
  return succeed({
    agentId,
    agentName: agent.name,
    instrumentId: null,
    cautions: [...(agent.cautions ?? [])],
    parts: mayIUseAnywhere(book, agent).map(({ on, of, ...said }) => ({ surface: on, material: of, ...said })),
  });
}

/** What two agents make together; one that is not in the book is a stranger, and never goes with bleach. */
export function mixingOf({ book }: { readonly book: Book }, one: string, other: string): MixingView {
  const made = mixing(agentWith(book, one), agentWith(book, other));
  return { danger: made.danger, care: !made.danger && made.care, text: made.text };
}
