import { at, median, ms, type Row } from '#bench/measure.ts';
import { NO_OUTCOMES } from '#core/faults/fault-net.ts';
import { faultsFor } from '#core/faults/faults-for.ts';
import { gainOfSign } from '#core/faults/gain.ts';
import { interview } from '#core/faults/interview.ts';
import { askedSigns } from '#core/faults/questions.ts';
import { answered, type Said } from '#core/faults/said.ts';
import { beliefIn, type NoisyNet } from '#core/faults/noisy-or.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { BOOK } from '#core/tables/book.ts';

const KINDS: readonly KindId[] = ['clarinet', 'oboe', 'bassoon', 'trumpet'];
const ROUNDS = 3;

/** Every complaint of some kinds, each question answered with no: what one step of an interview costs. */
function steps(): Row {
  const took: number[] = [];
  for (let round = 0; round < ROUNDS; round++)
    for (const kind of KINDS) {
      const here = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
      for (const { id } of here.signs.filter(({ sort }) => sort === 'complaint')) {
        const said: Said[] = [{ sign: id, answer: 'yes', noticed: true }];
        for (;;) {
          const begun = performance.now();
          const { next } = interview({
            here,
            beforehand: { risks: new Set(), outcomes: NO_OUTCOMES, ofPlayer: NO_OUTCOMES },
            player: { standing: 'grown-up', does: [] },
            way: 'sure',
            said,
            tried: [],
          });
          // The first round warms up.
          if (round > 0) took.push(performance.now() - begun);
          if (next === null) break;
          said.push(answered(askedSigns(next), 'no'));
        }
      }
    }
  took.sort((a, b) => a - b);
  return {
    what: `one step of an interview, ${took.length} steps of ${KINDS.length} kinds: in the middle`,
    figure: ms(median(took)),
    beside: `p95 ${ms(at(took, 0.95))}`,
    goal: '< 5 ms, p95 < 20 ms',
  };
}

const CAUSES = 60;
const SIGNS = 120;
const ANSWERED = 12;

/** A net larger than any kind has: what is believed, and what each question would tell. */
function large(): Row {
  const net: NoisyNet = {
    priors: Array.from({ length: CAUSES }, (_, cause) => 0.004 + 0.005 * ((cause * 7) % 10)),
    signs: Array.from({ length: SIGNS }, (_, sign) => ({
      leak: 0.01,
      misses: Array.from({ length: CAUSES }, (_one, cause) => ((cause * 31 + sign * 17) % 13 === 0 ? 0.3 : 1)),
    })),
    wrong: 0.05,
    least: 1,
    most: 3,
  };
  const asked = Array.from({ length: ROUNDS * (ANSWERED + 1) }, (_, at) => at % (ANSWERED + 1)).map((answered) => {
    const begun = performance.now();
    const belief = beliefIn(
      net,
      Array.from({ length: answered }, (_one, sign) => ({ sign: sign * 3, yes: sign % 3 === 0 })),
    );
    for (let sign = 0; sign < SIGNS; sign++) gainOfSign(net, belief, sign);
    return performance.now() - begun;
  });
  // The first round warms up.
  const took = asked.slice(ANSWERED + 1).toSorted((a, b) => a - b);
  return {
    what: `${CAUSES} causes, ${SIGNS} signs, all sets of up to three: in the middle`,
    figure: ms(median(took)),
    beside: `p95 ${ms(at(took, 0.95))}`,
    goal: '< 5 ms, p95 < 20 ms',
  };
}

/** What an interview of what is wrong costs. */
export const faultRows = (): Row[] => [steps(), large()];
