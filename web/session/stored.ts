import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();

function read(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    // Storage may be forbidden; the app then simply does not remember.
    return null;
  }
}

function subscribe(onChange: () => void): () => void {
  listeners.add(onChange);
  window.addEventListener('storage', onChange);
  return () => {
    listeners.delete(onChange);
    window.removeEventListener('storage', onChange);
  };
}

/** Keeps one word on this device. */
export function remember(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // See above.
  }
  for (const listener of listeners) listener();
}

/** Forgets a word kept on this device. */
export function forget(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // See above.
  }
  for (const listener of listeners) listener();
}

/** One word kept on this device, or null. */
export const useRemembered = (key: string): string | null => useSyncExternalStore(subscribe, () => read(key));

export const REMEMBERED = {
  device: 'ulu.device',
  player: 'ulu.player',
  instrument: 'ulu.instrument',
  shortcuts: 'ulu.shortcuts',
  unsent: 'ulu.unsent',
  settings: 'ulu.settings',
  withoutReeds: 'ulu.without-reeds',
} as const;
export const remembered = read;
