import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { MOMENTS } from '#web/app/moments.ts';
import { areShortcutsOn, isTyping } from '#web/session/shortcuts.ts';
import { lazyPart } from '#web/ui/lazy-part.tsx';

/** A dialog and a table that the first view does without. */
const [KeyList] = lazyPart(async () => (await import('#web/app/KeyList.tsx')).KeyList);

const G_LASTS_MS = 1500;

type ShortcutKeysProps = {
  readonly instrumentId: string | null;
  readonly open: boolean;
  readonly setOpen: (open: boolean) => void;
};

/** Single-key shortcuts, which can be switched off, and the list of them. */
export function ShortcutKeys({ instrumentId, open, setOpen }: ShortcutKeysProps) {
  const navigate = useNavigate();
  const gAt = useRef(0);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || !areShortcutsOn()) return;
      if (event.key === '?') setOpen(true);
      if (event.key === 'g') gAt.current = event.timeStamp;
      else if (event.timeStamp - gAt.current < G_LASTS_MS) {
        const moment = MOMENTS.find(({ key }) => key === event.key);
        gAt.current = 0;
        if (moment) void navigate(instrumentId ? `/${moment.path}/${instrumentId}` : `/${moment.path}`);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate, instrumentId, setOpen]);
  return open ? <KeyList onClose={() => setOpen(false)} /> : null;
}
