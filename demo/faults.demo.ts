import type { CauseId, Mishap, SignId } from '#core/book/fault.ts';
import type { Answer } from '#core/faults/stops.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { seeded } from '#demo/random.ts';

/** What happened to an instrument, so many days ago. */
export type DemoMishap = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly mishap: Mishap;
  readonly daysAgo: number;
};
/** What was noticed on an instrument, what was answered, and what it was. */
export type DemoInterview = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly daysAgo: number;
  readonly noticed: readonly SignId[];
  readonly answers: readonly { readonly key: string; readonly sign: SignId; readonly answer: Answer }[];
  readonly helped: { readonly key: string; readonly cause: CauseId } | null;
};
export type DemoFaults = { readonly mishaps: readonly DemoMishap[]; readonly interviews: readonly DemoInterview[] };

const SEED = 27;

type Told = {
  readonly of: string;
  readonly daysAgo: number;
  readonly noticed: readonly SignId[];
  readonly answers: readonly (readonly [SignId, Answer])[];
  readonly helped?: CauseId;
};
const TOLD: readonly Told[] = [
  // A child has begun to ask, and was called to supper.
  { of: 'ife-clarinet', daysAgo: 0, noticed: ['keyed/slow-key'], answers: [['keyed/spring-seen', 'no']] },
  // A valve that only wanted oil.
  {
    of: 'lucan-trumpet',
    daysAgo: 12,
    noticed: ['piston/slow'],
    answers: [
      ['piston/one-only', 'no'],
      ['piston/oil-helps', 'yes'],
    ],
    helped: 'piston/dry',
  },
  // After a night in the cold nobody can tell whether there is a line in the wood.
  { of: 'petra-bassoon', daysAgo: 1, noticed: ['wooden/pop'], answers: [['wooden/line', 'cannot-tell']] },
];

/** What is wrong, was wrong and happened in the demo world. All of it is invented. */
export function demoFaults(): DemoFaults {
  const random = seeded(SEED);
  return {
    mishaps: [{ key: random.key(), instrumentId: 'petra-bassoon' as InstrumentId, mishap: 'cold-night', daysAgo: 2 }],
    interviews: TOLD.map(({ of, daysAgo, noticed, answers, helped }) => ({
      key: random.key(),
      instrumentId: of as InstrumentId,
      daysAgo,
      noticed,
      answers: answers.map(([sign, answer]) => ({ key: random.key(), sign, answer })),
      helped: helped === undefined ? null : { key: random.key(), cause: helped },
    })),
  };
}
