/** Something in a file that was left out, with the line it stands on. */
export type IcsNote = {
  readonly code:
    | 'line-not-understood'
    | 'event-not-understood'
    | 'event-without-day'
    | 'event-ends-before-it-starts'
    | 'event-too-long'
    | 'no-such-time'
    | 'date-of-series-not-there'
    | 'series-too-far'
    | 'too-many-dates'
    | 'event-never-closed'
    | 'unknown-zone'
    | 'series-too-fine'
    | 'series-not-understood'
    | 'series-cut'
    | 'only-this-one-moved'
    | 'second-of-its-name'
    | 'too-many-entries';
  readonly line: number | null;
  /** What it is about: a name, a zone. */
  readonly about: string;
};

export type IcsLine = { readonly text: string; readonly line: number };
/** One event or zone as it stands in the file. */
export type IcsBlock = { readonly lines: readonly IcsLine[]; readonly line: number };
export type IcsFile = {
  readonly isCalendar: boolean;
  readonly properties: ReadonlyMap<string, string>;
  readonly events: readonly IcsBlock[];
  readonly zones: readonly IcsBlock[];
  /** Tasks and the like in it, which have no date that is played. */
  readonly tasks: number;
  readonly notes: readonly IcsNote[];
};

/** A name, parameters that may be quoted, a colon, and a value (RFC 5545, 3.1). */
const CONTENT_LINE = /^[A-Za-z0-9-]+(;[A-Za-z0-9-]+=("[^"]*"|[^";:,]*)(,("[^"]*"|[^";:,]*))*)*:/;
const LONGEST_ABOUT = 60;

/** Lines as they were before they were folded (RFC 5545, 3.1), each with the number of its first. */
function unfolded(text: string): IcsLine[] {
  const lines: { text: string; line: number }[] = [];
  text.split(/\r\n|\n|\r/).forEach((raw, at) => {
    const last = lines.at(-1);
    if (/^[ \t]/.test(raw) && last !== undefined) last.text += raw.slice(1);
    else if (raw.trim() !== '') lines.push({ text: raw, line: at + 1 });
  });
  return lines;
}

const isMark = (line: string, mark: 'BEGIN' | 'END', name: string): boolean =>
  line.toUpperCase().trimEnd() === `${mark}:${name}`;

/** What is no event, and may be all a file has. */
const TASKS = ['VTODO', 'VJOURNAL'] as const;

/** The name of a property without its parameters, and its text as it is meant (RFC 5545, 3.3.11). */
function propertyIn(content: string): { readonly key: string; readonly value: string } {
  const [head] = CONTENT_LINE.exec(content) ?? [''];
  const [key = ''] = head.split(/[;:]/);
  const value = content
    .slice(head.length)
    .replace(/\\([\\;,nN])/g, (_, letter: string) => (/n/i.test(letter) ? ' ' : letter));
  return { key: key.toUpperCase(), value };
}

/**
 * The events and zones of a file, and what the calendar says of itself. A line that is none is left out and named; what
 * is not closed ends where the next one begins.
 */
export function readLines(text: string): IcsFile {
  const notes: IcsNote[] = [];
  const properties = new Map<string, string>();
  const [events, zones]: [IcsBlock[], IcsBlock[]] = [[], []];
  let open: { name: string; lines: IcsLine[]; line: number } | null = null;
  let isCalendar = false;
  let tasks = 0;
  const giveUp = (): void => {
    if (open !== null) notes.push({ code: 'event-never-closed', line: open.line, about: '' });
    open = null;
  };
  for (const one of unfolded(text.replace(/^\uFEFF/, ''))) {
    const { text: content, line } = one;
    if (isMark(content, 'BEGIN', 'VCALENDAR')) {
      isCalendar = true;
      continue;
    }
    if (TASKS.some((each) => isMark(content, 'BEGIN', each))) tasks += 1;
    const name = ['VEVENT', 'VTIMEZONE'].find((each) => isMark(content, 'BEGIN', each));
    if (name !== undefined) {
      giveUp();
      open = { name, lines: [], line };
    } else if (open !== null && isMark(content, 'END', open.name)) {
      (open.name === 'VEVENT' ? events : zones).push({ lines: open.lines, line: open.line });
      open = null;
    } else if (!CONTENT_LINE.test(content)) {
      notes.push({ code: 'line-not-understood', line, about: content.slice(0, LONGEST_ABOUT) });
    } else if (open !== null) open.lines.push(one);
    else {
      const { key, value } = propertyIn(content);
      if (!properties.has(key)) properties.set(key, value);
    }
  }
  giveUp();
  return { isCalendar, properties, events, zones, tasks, notes };
}
