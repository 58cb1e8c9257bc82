import { useLayoutEffect } from 'react';
import { areShortcutsOn, isTyping } from '#web/session/shortcuts.ts';

type RunKeys = { readonly tick: () => void; readonly onePass: () => void; readonly skip: () => void };

const isForTheRun = ({ repeat, ctrlKey, metaKey, altKey, target }: KeyboardEvent): boolean =>
  !repeat && !ctrlKey && !metaKey && !altKey && !isTyping(target) && areShortcutsOn();

/** Enter or Space ticks, N counts a pass, S skips; a focused button keeps its own Enter and Space. */
export function useRunKeys(active: boolean, { tick, onePass, skip }: RunKeys): void {
  // Before the picture is painted: a key pressed at what is seen must not still act on what was there before.
  useLayoutEffect(() => {
    if (!active) return undefined;
    const onKey = (event: KeyboardEvent) => {
      const { target, key } = event;
      if (!isForTheRun(event)) return;
      const onControl = target instanceof HTMLElement && target.closest('button, a, summary') !== null;
      if ((key === 'Enter' || key === ' ') && !onControl) {
        event.preventDefault();
        tick();
      } else if (key.toLowerCase() === 'n') onePass();
      else if (key.toLowerCase() === 's') skip();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [active, tick, onePass, skip]);
}
