/** Deeper than any request of ours, by far. */
export const DEEPEST = 12;

/** A body nested deeper than any request; found before it is parsed, so that nothing has to climb down into it. */
export class TooDeep extends Error {}

const [QUOTE, BACKSLASH, OPEN_BRACKET, CLOSE_BRACKET, OPEN_BRACE, CLOSE_BRACE] = [34, 92, 91, 93, 123, 125];

/**
 * Counts brackets and braces outside of strings.
 *
 * @throws TooDeep when they are nested deeper than {@link DEEPEST}
 */
export function refuseDeepNesting(bytes: Uint8Array): void {
  let depth = 0;
  let inString = false;
  for (let at = 0; at < bytes.length; at++) {
    const byte = bytes[at];
    if (inString) {
      if (byte === BACKSLASH) at++;
      else if (byte === QUOTE) inString = false;
      continue;
    }
    if (byte === QUOTE) inString = true;
    else if (byte === OPEN_BRACKET || byte === OPEN_BRACE) depth++;
    else if (byte === CLOSE_BRACKET || byte === CLOSE_BRACE) depth--;
    if (depth > DEEPEST) throw new TooDeep(`nested deeper than ${DEEPEST}`);
  }
}
