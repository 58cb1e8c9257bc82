import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';

export type DilutionInput = {
  /** Strength of the stock, per cent. */
  readonly stockPercent: number;
  readonly targetPercent: number;
  /** How much is wanted in the end, mL. */
  readonly finalMl: number;
};

export type Dilution = {
  readonly stockMl: number;
  readonly waterMl: number;
  readonly cautions: readonly string[];
};

export type DilutionRefusal = {
  readonly code: 'not-a-number' | 'not-positive' | 'over-100' | 'stronger-than-stock' | 'too-much';
  readonly field: keyof DilutionInput;
};

const MOST_ML = 10_000;
/** Above this peroxide burns skin and eyes, and is regulated for the public in some places (recalled). */
const STRONG_PERCENT = 12;
/** Above what the chemist usually sells it is handled with gloves and eye protection (practice book). */
const HOUSEHOLD_PERCENT = 3;

const CAUTIONS = {
  always: 'Follow the label; label the bottle with what is in it, how strong, and the day.',
  burns: 'Gloves and eye protection, for the bottle and for what you make of it: above 3 % it burns skin and eyes.',
  strong:
    'This stock is stronger than 12 %: it burns, and in some places it is not for the public. Better buy the strength you need.',
  weight: 'If the label says per cent by weight, it is stronger by volume than it looks.',
} as const;

function refusalIn(input: DilutionInput): DilutionRefusal | null {
  for (const field of ['stockPercent', 'targetPercent', 'finalMl'] as const) {
    if (!Number.isFinite(input[field])) return { code: 'not-a-number', field };
    if (input[field] <= 0) return { code: 'not-positive', field };
  }
  if (input.stockPercent > 100) return { code: 'over-100', field: 'stockPercent' };
  if (input.targetPercent > input.stockPercent) return { code: 'stronger-than-stock', field: 'targetPercent' };
  return input.finalMl > MOST_ML ? { code: 'too-much', field: 'finalMl' } : null;
}

/**
 * How much stock and how much water: C1·V1 = C2·V2, volumes taken as additive (a small error up to 12 %).
 * Exact; rounding is the words' business.
 */
export function dilute(input: DilutionInput): Outcome<Dilution, DilutionRefusal> {
  const refusal = refusalIn(input);
  if (refusal) return fail(refusal);
  const { stockPercent, targetPercent, finalMl } = input;
  const stockMl = (targetPercent * finalMl) / stockPercent;
  const cautions = [
    ...(stockPercent > STRONG_PERCENT ? [CAUTIONS.strong, CAUTIONS.weight] : []),
    ...(stockPercent > HOUSEHOLD_PERCENT ? [CAUTIONS.burns] : []),
    CAUTIONS.always,
  ];
  return succeed({ stockMl, waterMl: Math.max(0, finalMl - stockMl), cautions });
}

/** What can be measured: drops of half a millilitre from a syringe, whole ones in a small cup, fives in a large one. */
const stepFor = (ml: number): number => (ml < 10 ? 0.5 : ml < 100 ? 1 : 5);

/** The two amounts as they can be measured: the stock to the nearest mark of its cup, the water what is left. */
export function measured({ stockMl }: Dilution, finalMl: number): { readonly stock: string; readonly water: string } {
  const step = stepFor(stockMl);
  // Asked for as strong as it is, nothing is thinned.
  const isWhole = Math.abs(finalMl - stockMl) < 1e-9;
  const stock = isWhole ? finalMl : Math.min(finalMl, Math.max(step, Math.round(stockMl / step) * step));
  const words = (ml: number): string => `${Number(ml.toFixed(1))} mL`;
  return { stock: words(stock), water: words(Math.max(0, finalMl - stock)) };
}

export function dilutionRefusalWords({ code, field }: DilutionRefusal): string {
  const name = {
    stockPercent: 'The strength of the stock',
    targetPercent: 'The strength wanted',
    finalMl: 'The amount',
  }[field];
  switch (code) {
    case 'not-a-number':
      return `${name} is not a number.`;
    case 'not-positive':
      return `${name} must be more than nothing.`;
    case 'over-100':
      return `${name} cannot be over 100 %.`;
    case 'stronger-than-stock':
      return 'Water only makes it weaker: the strength wanted is more than the stock has.';
    case 'too-much':
      return `${name} is more than ten litres; this is for a cup.`;
  }
}
