import { CODES_BY_DECIMALS } from '#core/money/currencies.ts';

/** An amount in the smallest coins of a currency (ISO 4217). */
export type Money = { readonly minor: number; readonly currency: string };

/** Decimals by code: from a table, for what the runtime knows differs between browsers and from ISO 4217. */
const decimals: ReadonlyMap<string, number> = new Map(
  Object.entries(CODES_BY_DECIMALS).flatMap(([count, codes]) => codes.map((code) => [code, Number(count)] as const)),
);
/** Of a code that is not on the list: withdrawn, as one may stand in an old record. */
const USUAL_DECIMALS = 2;

/** Decimals a currency is written with (ISO 4217): 2 for the euro, 0 for the yen, 3 for the Kuwaiti dinar. */
export const minorDigits = (currency: string): number => decimals.get(currency) ?? USUAL_DECIMALS;

/** Every currency somebody can pay in (ISO 4217). */
export const CURRENCIES: readonly string[] = [...decimals.keys()].toSorted();

/** Is it a currency somebody can pay in (ISO 4217)? */
export const isCurrency = (code: string): boolean => decimals.has(code);

/** An amount as it is typed, with a point or a comma before the decimals; null where it is none, or is finer than a coin. */
export function typedMoney(text: string, currency: string): Money | null {
  const [, whole = '', decimals = ''] = /^(\d{1,9})(?:[.,](\d{1,3}))?$/.exec(text.trim()) ?? [];
  const count = minorDigits(currency);
  if (whole === '' || decimals.length > count) return null;
  return { minor: Number(whole) * 10 ** count + Number(decimals.padEnd(count, '0') || 0), currency };
}

/** The amount as somebody would type it: "28.90". */
export const moneyAsTyped = ({ minor, currency }: Money): string => {
  const count = minorDigits(currency);
  return (minor / 10 ** count).toFixed(count);
};
