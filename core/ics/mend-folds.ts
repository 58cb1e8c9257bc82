const [CR, LF, SPACE, TAB] = [0x0d, 0x0a, 0x20, 0x09];
/** A byte of a letter of several that is not its first (UTF-8; RFC 3629, 3). */
const goesOn = (byte: number | undefined): boolean => byte !== undefined && byte >= 0x80 && byte < 0xc0;

/** How long the fold is that begins here: a line end with a blank behind it; 0 where there is none. */
function foldAt(bytes: Uint8Array, at: number): number {
  const ends = bytes[at] === CR && bytes[at + 1] === LF ? 2 : bytes[at] === LF ? 1 : 0;
  const blank = bytes[at + ends];
  return ends > 0 && (blank === SPACE || blank === TAB) ? ends + 1 : 0;
}

/** The folds within a letter, and the rest of the letter; it may be cut more than once. */
function restOfLetter(bytes: Uint8Array, from: number): { readonly rest: number[]; readonly folds: number[] } {
  const [rest, folds]: [number[], number[]] = [[], []];
  let at = from;
  for (let fold = foldAt(bytes, at); fold > 0 && goesOn(bytes[at + fold]); fold = foldAt(bytes, at)) {
    folds.push(...bytes.subarray(at, at + fold));
    at += fold;
    while (goesOn(bytes[at])) rest.push(bytes[at++] ?? 0);
  }
  return { rest, folds };
}

/**
 * A calendar's bytes with every letter whole: lines are folded after 75 bytes (RFC 5545, 3.1), and programs fold within a
 * letter of several bytes. The fold is put behind the letter, so that lines keep their numbers. To be done before the
 * bytes are read as text, for then the halves of the letter are lost.
 */
export function mendFolds(bytes: Uint8Array): Uint8Array {
  const mended = Uint8Array.from(bytes);
  for (let at = 1; at < bytes.length; at++) {
    if ((bytes[at - 1] ?? 0) < 0x80 || foldAt(bytes, at) === 0) continue;
    const { rest, folds } = restOfLetter(bytes, at);
    mended.set([...rest, ...folds], at);
    at += Math.max(0, rest.length + folds.length - 1);
  }
  return mended;
}
