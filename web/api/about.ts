import '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { Subject } from '#core/record/fact.ts';

/**
 * What a query is about: `book` never changes while the program runs; `record` hangs on everything in it; a page of one
 * instrument or player hangs on what the server says touches them; a run on its own log and on all it was planned from.
 */
export type QueryAbout =
  'book' | 'record' | { readonly instrument: InstrumentId } | { readonly player: string } | { readonly run: string };
/** Whose pages look again, as the server says; a run and nothing beyond it, as after a tick; everything, as after a copy was taken back. */
export type Touched = readonly Subject[] | { readonly run: string } | 'everything';

const isOfRun = (touched: Touched): touched is { readonly run: string } =>
  typeof touched === 'object' && 'run' in touched;

declare module '@tanstack/react-query' {
  interface Register {
    queryMeta: { readonly about: QueryAbout };
  }
}

/** Must a query look again after this was written? One that does not say what it is about always does. */
export function mustLookAgain(about: QueryAbout | undefined, touched: Touched): boolean {
  if (about === 'book') return false;
  if (touched === 'everything') return true;
  if (isOfRun(touched)) return typeof about === 'object' && 'run' in about && about.run === touched.run;
  if (about === undefined || about === 'record' || 'run' in about) return true;
  const [kind, id] =
    'player' in about ? (['player', about.player] as const) : (['instrument', about.instrument] as const);
  return touched.some((one) => one.kind === kind && one.id === id);
}

export const ABOUT_THE_BOOK = { about: 'book' } as const;
export const ABOUT_THE_RECORD = { about: 'record' } as const;
export const aboutRun = (run: string) => ({ about: { run } }) as const;
export const aboutInstrument = (instrument: InstrumentId) => ({ about: { instrument } }) as const;
export const aboutPlayer = (player: string) => ({ about: { player } }) as const;
