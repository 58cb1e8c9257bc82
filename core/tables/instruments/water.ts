import type { WaterRow } from '#core/instruments/kind.ts';

const row = (
  [flowLitresPerMinute, soundingShare, enteringShare, wallWarming, keptShare]: readonly [
    number,
    number,
    number,
    number,
    number,
  ],
  [wettedBoreSquareMetres, pickedUpPerPass, leastPasses]: readonly [number, number, number],
): WaterRow => ({
  flowLitresPerMinute,
  soundingShare,
  enteringShare,
  wallWarming,
  keptShare,
  wettedBoreSquareMetres,
  pickedUpPerPass,
  leastPasses,
});

/**
 * Condensation parameters by family: flow, sounding, entering, warming, kept; bore, taken a pass, least passes; brass: the
 * pool worth letting out. Estimates.
 */
export const WATER = {
  clarinet: row([13, 0.6, 1, 0.45, 0.36], [0.0305, 0.4, 1]),
  saxophone: row([20, 0.6, 1, 0.35, 0.4], [0.119, 0.42, 1]),
  flute: row([20, 0.6, 0.5, 0.35, 0.35], [0.0358, 0.6, 1]),
  bambooFlute: row([18, 0.6, 0.5, 0.35, 0.26], [0.0346, 0.6, 2]),
  recorder: row([12, 0.6, 1, 0.45, 0.25], [0.014, 0.55, 1]),
  oboe: row([5, 0.7, 1, 0.45, 0.45], [0.0188, 0.45, 2]),
  bassoon: row([9, 0.6, 1, 0.35, 0.35], [0.077, 0.5, 2]),
  trumpet: { ...row([18, 0.5, 1, 0.3, 0.6], [0.06, 0.5, 1]), poolGrams: 1.5 },
  horn: { ...row([15, 0.5, 1, 0.25, 0.7], [0.13, 0.5, 1]), poolGrams: 2 },
  trombone: { ...row([25, 0.5, 1, 0.25, 0.65], [0.125, 0.5, 1]), poolGrams: 2 },
  tuba: { ...row([50, 0.45, 1, 0.15, 0.65], [0.6, 0.5, 1]), poolGrams: 5 },
  bagpipe: row([35, 0.8, 1, 0.2, 0.6], [0.3, 0.5, 1]),
} as const satisfies Record<string, WaterRow>;
