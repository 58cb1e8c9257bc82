import { useSyncExternalStore } from 'react';
import { instantOfMs, localMomentOf } from '#core/time/instant.ts';
import type { LocalDate } from '#core/time/local-date.ts';

const timeZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The player's wall clock now. */
export const wallNow = (): { on: LocalDate; atMinute: number } => localMomentOf(instantOfMs(Date.now()), timeZone());

const CHECK_EVERY_MS = 15_000;

function subscribe(onChange: () => void): () => void {
  const timer = setInterval(onChange, CHECK_EVERY_MS);
  document.addEventListener('visibilitychange', onChange);
  return () => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', onChange);
  };
}

/** The player's local day; changes soon after local midnight. */
export const useToday = (): LocalDate => useSyncExternalStore(subscribe, () => wallNow().on);

/** Milliseconds now, to the second; looked at each second while `running`. */
export function useNowMs(running: boolean): number {
  return useSyncExternalStore(
    (onChange) => {
      if (!running) return () => undefined;
      const timer = setInterval(onChange, 1000);
      return () => clearInterval(timer);
    },
    () => Math.floor(Date.now() / 1000) * 1000,
  );
}
