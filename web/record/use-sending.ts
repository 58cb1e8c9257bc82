import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { recordChanged } from '#web/api/record-changes.ts';

/** The outbox and what sends it: no burden to the first view, and there a moment later. */
export const sending = () => import('#web/record/sending.ts');

/** The caches whose pages are told already: whoever logs may ask for it, and it is begun once. */
const told = new WeakSet<QueryClient>();

/** Sends what waits for as long as the app is open: at once, when the device wakes up, when the network is back. */
export function useSending(): void {
  const cache = useQueryClient();
  useEffect(() => {
    if (told.has(cache)) return;
    told.add(cache);
    // Where it cannot come, what waits stays on the device until it can.
    const withSender = (work: (sender: Awaited<ReturnType<typeof sending>>['sender']) => void) =>
      void sending().then(
        ({ sender }) => work(sender),
        () => undefined,
      );
    withSender((sender) => sender.start({ confirmed: (_one, { touched }) => recordChanged(cache, touched) }));
    const again = () => withSender((sender) => void sender.flush());
    window.addEventListener('online', again);
    document.addEventListener('visibilitychange', again);
  }, [cache]);
}
