import { useCallback, useState } from 'react';

/** Whether an element has come into view yet: what is far down a page need not be fetched before. */
export function useSeen(): readonly [ref: (element: Element | null) => (() => void) | undefined, isSeen: boolean] {
  const [isSeen, setIsSeen] = useState(false);
  const ref = useCallback((element: Element | null) => {
    if (element === null) return undefined;
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some(({ isIntersecting }) => isIntersecting)) setIsSeen(true);
      },
      { rootMargin: '120px' },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, isSeen];
}
