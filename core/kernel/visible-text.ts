/**
 * Characters that are letters or symbols to Unicode and yet are drawn as nothing: the Hangul fillers and the empty
 * Braille pattern (Unicode, DerivedCoreProperties: Default_Ignorable_Code_Point, and U+2800 by its name).
 */
const DRAWN_AS_NOTHING = /[\u115F\u1160\u3164\uFFA0\u2800]/gu;

/** Is there anything to be seen in a text: a letter, a digit, a sign? White space, joiners and fillers are not. */
export const hasVisibleText = (text: string): boolean =>
  /[\p{L}\p{N}\p{P}\p{S}]/u.test(text.replace(DRAWN_AS_NOTHING, ''));
