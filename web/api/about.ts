import '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';

/**
 * What a query is about: `book` never changes while the program runs; `record` hangs on everything in it; a page of one
 * instrument hangs on what is said of that instrument, or of its player; a run on its own log and on all it was planned from.
 */
export type QueryAbout = 'book' | 'record' | { readonly instrument: InstrumentId } | { readonly run: string };
/**
 * What something written is about: these instruments; whatever there is (a player and all they play); or a run and
 * nothing beyond it, as a tick is.
 */
export type Touched = 'everything' | readonly InstrumentId[] | { readonly run: string };

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
  if (isOfRun(touched)) return typeof about === 'object' && 'run' in about && about.run === touched.run;
  if (about === undefined || about === 'record' || touched === 'everything' || 'run' in about) return true;
  return touched.includes(about.instrument);
}

export const ABOUT_THE_BOOK = { about: 'book' } as const;
export const ABOUT_THE_RECORD = { about: 'record' } as const;
export const aboutRun = (run: string) => ({ about: { run } }) as const;
export const aboutInstrument = (instrument: InstrumentId) => ({ about: { instrument } }) as const;
