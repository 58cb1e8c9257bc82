import prand from 'pure-rand';
import { draftProgram, type Program } from '#core/solve/program.ts';

/**
 * A market split (Cornuéjols and Dawande 1999): goods are shared out so that each market is split in half. With
 * (markets − 1) × 10 goods and coefficients below 100 drawn at random no branch and bound is done with it in minutes.
 */
export function marketSplit(markets: number): Program {
  const dice = prand.xoroshiro128plus(markets);
  const { column, row, program } = draftProgram();
  const goods = Array.from({ length: (markets - 1) * 10 }, (_, at) =>
    column({ name: `good ${at}`, cost: 0, most: 1, whole: true }),
  );
  for (let market = 0; market < markets; market++) {
    const times = goods.map(() => prand.unsafeUniformIntDistribution(0, 99, dice));
    const half = Math.floor(times.reduce((sum, one) => sum + one, 0) / 2);
    const over = column({ name: `over ${market}`, cost: 1 });
    const under = column({ name: `under ${market}`, cost: 1 });
    const terms = goods.map((good, at) => [good, times[at] ?? 0] as const);
    row({ name: `half of ${market}`, terms: [...terms, [over, -1], [under, 1]], least: half, most: half });
  }
  return program();
}
