/** An amount in the smallest coins of a currency (ISO 4217). */
export type Money = { readonly minor: number; readonly currency: string };

const digits = new Map<string, number>();

/** Decimals a currency is written with (ISO 4217 by way of Intl): 2 for the euro, 0 for the yen, 3 for the Kuwaiti dinar. */
export function minorDigits(currency: string): number {
  const known = digits.get(currency);
  if (known !== undefined) return known;
  const options = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions();
  const count = options.maximumFractionDigits ?? 2;
  digits.set(currency, count);
  return count;
}

/** Is it a currency of the list? Three capital letters that Intl knows by a name of their own. */
export function isCurrency(code: string): boolean {
  if (!/^[A-Z]{3}$/.test(code)) return false;
  return new Intl.DisplayNames('en', { type: 'currency' }).of(code) !== code;
}

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
