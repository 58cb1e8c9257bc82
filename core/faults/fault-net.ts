import type { CauseId, RiskId, SignId } from '#core/book/fault.ts';
import type { CauseHere, FaultsHere } from '#core/faults/faults-for.ts';
import { checkNet, type NoisyNet, type NoisySign } from '#core/faults/noisy-or.ts';

/** How often something was found to be the cause: on this instrument, or on the others of its player. */
export type Outcomes = { readonly known: number; readonly of: ReadonlyMap<CauseId, number> };
export const NO_OUTCOMES: Outcomes = { known: 0, of: new Map() };

/** What is known beside the answers. */
export type Beforehand = {
  readonly risks: ReadonlySet<RiskId>;
  /** On this instrument. */
  readonly outcomes: Outcomes;
  /** On the other instruments of its player, counted apart: a habit goes along from one to the next. */
  readonly ofPlayer: Outcomes;
};

/** Of what was found elsewhere only what can be wrong here: a stuck valve says nothing of a clarinet. */
function foundAlso({ causes }: FaultsHere, { of }: Outcomes): Outcomes {
  const here = new Map(causes.flatMap(({ id }) => (of.has(id) ? [[id, of.get(id) ?? 0] as const] : [])));
  return { known: [...here.values()].reduce((sum, times) => sum + times, 0), of: here };
}

/** A net with the names of its causes and signs; `remedies` are signs of their own: the remedy of a cause has helped. */
export type FaultNet = NoisyNet & {
  /** The place of each cause; the last one of the net is what is not in the list. */
  readonly causeIds: readonly CauseId[];
  readonly signAt: ReadonlyMap<SignId, number>;
  readonly remedyAt: ReadonlyMap<CauseId, number>;
};

/**
 * The chance of a cause before anything is said: the word of the table, moved by what was found before on this instrument
 * and on the others of its player (each known outcome counts as one of about ten), then each risk multiplies its odds, and
 * it is never above the most.
 */
export function priorOf(cause: CauseHere, here: FaultsHere, { risks, outcomes, ofPlayer }: Beforehand): number {
  const { figures } = here;
  const weight = figures.weightOfPrior.value;
  const elsewhere = foundAlso(here, ofPlayer);
  const found = (outcomes.of.get(cause.id) ?? 0) + (elsewhere.of.get(cause.id) ?? 0);
  const known = outcomes.known + elsewhere.known;
  const plain = (figures.prior[cause.common].value * weight + found) / (weight + known);
  let odds = plain / (1 - plain);
  for (const risk of risks) {
    const word = cause.likelier?.[risk];
    if (word !== undefined) odds *= figures.risk[word].value;
  }
  return Math.min(figures.mostPrior.value, odds / (1 + odds));
}

/**
 * The causes that come into question: those that show something of what was noticed. What shows none of it would only be
 * a second fault beside the one that is asked about.
 */
export function inQuestion({ causes }: FaultsHere, noticed: ReadonlySet<SignId>): readonly CauseHere[] {
  const showing = causes.filter(({ links }) => links.some(({ sign }) => noticed.has(sign)));
  return showing.length > 0 ? showing : causes;
}

/**
 * The net of some causes of one instrument with what is known beforehand, each sign with what shows it, and something that
 * is not in the list. At least one cause is there, or nobody would ask.
 *
 * @throws RangeError where a figure is no chance
 */
export function faultNet(here: FaultsHere, beforehand: Beforehand, causes: readonly CauseHere[]): FaultNet {
  const { figures, signs } = here;
  const count = causes.length + 1;
  const rows = signs.map(({ sort }) => ({
    leak: figures.leak[sort].value,
    misses: new Array<number>(count)
      .fill(1)
      .with(count - 1, sort === 'complaint' ? 1 - figures.notInListShows.value : 1),
  }));
  const signAt = new Map(signs.map(({ id }, index) => [id, index]));
  causes.forEach(({ links }, cause) => {
    for (const { sign, word } of links) {
      const row = rows[signAt.get(sign) ?? -1];
      if (row) row.misses[cause] = 1 - figures.link[word].value;
    }
  });
  const remedies: NoisySign[] = causes.map((_, index) => ({
    leak: figures.leak.trial.value,
    misses: Array.from({ length: count }, (_one, cause) => (cause === index ? 1 - figures.helps.value : 1)),
  }));
  const net: FaultNet = {
    priors: [...causes.map((cause) => priorOf(cause, here, beforehand)), figures.notInList.value],
    signs: [...rows, ...remedies],
    wrong: figures.wrong.value,
    least: 1,
    most: 3,
    causeIds: causes.map(({ id }) => id),
    signAt,
    remedyAt: new Map(causes.map(({ id }, index) => [id, signs.length + index])),
  };
  checkNet(net);
  return net;
}
