/** A document is not what it should be; `code` says how. */
export class NoDocument extends Error {
  constructor(readonly code: NoDocumentCode) {
    super(code);
  }
}
export type NoDocumentCode = 'not-json' | 'not-unpacked' | 'not-utf8' | 'too-deep' | 'element-too-large';

/** An object out of one of the lists of a document. */
export type Element = { readonly list: string; readonly value: Readonly<Record<string, unknown>> };

/** Deeper than anything that is written, by far. */
const DEEPEST = 40;
/** Of one element, and of all that is no element, in bytes. */
const LARGEST = 64_000_000;

const [QUOTE, BACKSLASH, NUL] = [34, 92, 0];
const [OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [91, 93, 123, 125];
const ZERO = Uint8Array.of(48);
const BYTE_ORDER_MARK = [0xef, 0xbb, 0xbf] as const;

/** Bytes that come in pieces, up to a limit. */
class Gathered {
  #pieces: Uint8Array[] = [];
  #length = 0;

  add(piece: Uint8Array): void {
    this.#length += piece.length;
    if (this.#length > LARGEST) throw new NoDocument('element-too-large');
    this.#pieces.push(piece);
  }

  /** All of it; from then on there is nothing. */
  take(): Uint8Array {
    const all = new Uint8Array(this.#length);
    let at = 0;
    for (const piece of this.#pieces) {
      all.set(piece, at);
      at += piece.length;
    }
    this.#pieces = [];
    this.#length = 0;
    return all;
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new NoDocument('not-json');
  }
}

/**
 * Takes a JSON object with lists of objects apart as its bytes arrive, so that a document of any length needs no more
 * room than its largest element: each object in a list is given out by itself. What is left, with a 0 for each of them,
 * is read once it is whole, so that the whole is JSON or refused.
 *
 * @throws NoDocument when it is not JSON, not UTF-8, nested deeper than anything that is written, or too large in one
 */
export class SplitDocument {
  /** @param decode reads bytes as UTF-8; undefined where they are not */
  constructor(private readonly decode: (bytes: Uint8Array) => string | undefined) {}

  readonly #rest = new Gathered();
  readonly #element = new Gathered();
  readonly #counts = new Map<string, number>();
  #depth = 0;
  #inString = false;
  #escaped = false;
  /** The text at the first depth that was read last: the name of the list that follows. */
  #name: number[] = [];
  #list = '';
  #isIn = false;
  #isFirst = true;

  /** The elements that these bytes bring to their end. */
  *push(bytes: Uint8Array): Generator<Element> {
    let from = this.#withoutMark(bytes);
    for (let at = from; at < bytes.length; at++) {
      const met = this.#met(bytes[at] ?? NUL);
      if (met === 'begins') {
        this.#rest.add(bytes.subarray(from, at));
        from = at;
      } else if (met === 'ends') {
        this.#element.add(bytes.subarray(from, at + 1));
        from = at + 1;
        yield this.#taken();
      }
    }
    (this.#isIn ? this.#element : this.#rest).add(bytes.subarray(from));
  }

  /**
   * What the document says beside its lists.
   *
   * @throws NoDocument when it has not come to its end, or a list holds anything but objects
   */
  end(): Readonly<Record<string, unknown>> {
    if (this.#depth !== 0 || this.#inString) throw new NoDocument('not-json');
    const rest = parsed(this.#text(this.#rest));
    if (typeof rest !== 'object' || rest === null || Array.isArray(rest)) throw new NoDocument('not-json');
    for (const [name, list] of Object.entries(rest))
      if (Array.isArray(list) && (list.length !== (this.#counts.get(name) ?? 0) || list.some((one) => one !== 0)))
        throw new NoDocument('not-json');
    return rest as Readonly<Record<string, unknown>>;
  }

  #text(gathered: Gathered): string {
    const text = this.decode(gathered.take());
    if (text === undefined) throw new NoDocument('not-utf8');
    return text;
  }

  #withoutMark(bytes: Uint8Array): number {
    if (!this.#isFirst || bytes.length === 0) return 0;
    this.#isFirst = false;
    return BYTE_ORDER_MARK.every((mark, at) => bytes[at] === mark) ? BYTE_ORDER_MARK.length : 0;
  }

  #inText(byte: number): void {
    if (this.#escaped) this.#escaped = false;
    else if (byte === BACKSLASH) this.#escaped = true;
    else if (byte === QUOTE) this.#inString = false;
    if (this.#inString && this.#depth === 1 && this.#name.length < DEEPEST) this.#name.push(byte);
  }

  /** What a byte does: an element of a list begins with it, or ends. */
  #met(byte: number): 'begins' | 'ends' | null {
    if (this.#inString) {
      this.#inText(byte);
      return null;
    }
    switch (byte) {
      case QUOTE:
        this.#inString = true;
        if (this.#depth === 1) this.#name = [];
        return null;
      case OPEN_LIST:
      case OPEN_OBJECT:
        return this.#goDown(byte) ? 'begins' : null;
      case CLOSE_LIST:
      case CLOSE_OBJECT:
        return this.#goUp() ? 'ends' : null;
      default:
        return null;
    }
  }

  /** @returns whether an element of a list begins */
  #goDown(byte: number): boolean {
    const begins = byte === OPEN_OBJECT && this.#depth === 2 && this.#list !== '';
    if (begins) this.#isIn = true;
    if (byte === OPEN_LIST && this.#depth === 1) this.#list = String.fromCharCode(...this.#name);
    this.#depth++;
    if (this.#depth > DEEPEST) throw new NoDocument('too-deep');
    return begins;
  }

  /** @returns whether an element of a list has come to its end */
  #goUp(): boolean {
    this.#depth--;
    if (this.#depth < 2) this.#list = '';
    return this.#isIn && this.#depth === 2;
  }

  #taken(): Element {
    this.#isIn = false;
    this.#rest.add(ZERO);
    this.#counts.set(this.#list, (this.#counts.get(this.#list) ?? 0) + 1);
    return { list: this.#list, value: parsed(this.#text(this.#element)) as Element['value'] };
  }
}
