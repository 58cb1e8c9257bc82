/**
 * Characters that are letters or symbols to Unicode and yet are drawn as nothing: the Hangul fillers and the empty
 * Braille pattern (Unicode, DerivedCoreProperties: Default_Ignorable_Code_Point, and U+2800 by its name).
 */
const DRAWN_AS_NOTHING = /[\u115F\u1160\u3164\uFFA0\u2800]/gu;

/** Is there anything to be seen in a text: a letter, a digit, a sign? White space, joiners and fillers are not. */
export const hasVisibleText = (text: string): boolean =>
  /[\p{L}\p{N}\p{P}\p{S}]/u.test(text.replace(DRAWN_AS_NOTHING, ''));

/**
 * Characters that are never drawn and change what stands beside them or what becomes of a text: controls, NUL among them,
 * ends of lines and paragraphs, halves of a character (Unicode, General_Category Cc, Zl, Zp and Cs), and marks of
 * direction (UAX #9, Bidi_Control). Joiners are none: words of some scripts and many pictures are spelt with them.
 */
const HIDDEN = /[\p{Cc}\p{Zl}\p{Zp}\p{Cs}\p{Bidi_Control}]/gu;

export const hasHidden = (text: string): boolean => text.search(HIDDEN) !== -1;

/** A name as it was meant, from what was typed or pasted: on one line, without blanks round it and without what is hidden. */
export const plainName = (text: string): string => text.replace(/\s+/gu, ' ').replace(HIDDEN, '').trim();
