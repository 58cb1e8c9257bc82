import { useSyncExternalStore } from 'react';
import { outbox, sender } from '#web/record/sending.ts';

/** What waits on this device, what was refused, and whether anybody answers. */
export function useUnsent() {
  const shown = useSyncExternalStore(outbox.subscribe, outbox.shown);
  const heldUp = useSyncExternalStore(sender.subscribe, sender.isHeldUp);
  return { ...shown, heldUp };
}
