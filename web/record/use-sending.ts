import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { recordChanged } from '#web/api/record-changes.ts';
import { outbox, sender } from '#web/record/sending.ts';

/** Sends what waits for as long as the app is open: at once, when the device wakes up, when the network is back. */
export function useSending(): void {
  const cache = useQueryClient();
  useEffect(() => {
    sender.start({ confirmed: (_one, { touched }) => recordChanged(cache, touched) });
    const again = () => void sender.flush();
    window.addEventListener('online', again);
    document.addEventListener('visibilitychange', again);
    return () => {
      window.removeEventListener('online', again);
      document.removeEventListener('visibilitychange', again);
    };
  }, [cache]);
}

/** What waits on this device, what was refused, and whether anybody answers. */
export function useUnsent() {
  const shown = useSyncExternalStore(outbox.subscribe, outbox.shown);
  const heldUp = useSyncExternalStore(sender.subscribe, sender.isHeldUp);
  return { ...shown, heldUp };
}
