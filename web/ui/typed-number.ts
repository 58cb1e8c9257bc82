/** A number as it is typed, decimal comma or point; NaN where it is none. */
export const typedNumber = (text: string): number =>
  text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.'));
