import { REMEMBERED, remembered } from '#web/session/stored.ts';

/** Single-key shortcuts can be switched off (WCAG 2.1.4). */
export const areShortcutsOn = (): boolean => remembered(REMEMBERED.shortcuts) !== 'off';

/** Is the key meant for a field, a menu or a dialog rather than for the page? */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="menu"]') !== null;
