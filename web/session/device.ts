import { newKey } from '#web/api/new-key.ts';
import { REMEMBERED, remember, remembered } from '#web/session/stored.ts';

let key: string | null = null;

/** The key this device has given itself: the server serves all devices in turn. Where nothing is kept it is this page's. */
export function deviceKey(): string {
  key ??= remembered(REMEMBERED.device) ?? null;
  if (key === null) {
    key = newKey();
    remember(REMEMBERED.device, key);
  }
  return key;
}
