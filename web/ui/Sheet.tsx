import { Dialog, type DialogProps } from '@mui/material';
import { useEffect, useRef } from 'react';

type SheetProps = Omit<DialogProps, 'open' | 'onClose'> & { readonly onClose: () => void };

/** Marks the place in the browser's history that stands for an open sheet. */
const MARK = 'uluSheet';
const state = (): Record<string, unknown> | null => window.history.state;
const isMarked = (): boolean => state()?.[MARK] === true;

/**
 * Makes the browser's Back close what is open instead of leaving the page: while it is open the history has a place for
 * it, which is taken away again when it is closed by hand.
 */
function useBackCloses(onClose: () => void): void {
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  useEffect(() => {
    // Its place in the router's order stays the same: for the router nothing has moved.
    window.history.pushState({ ...state(), [MARK]: true }, '');
    const onBack = () => {
      if (!isMarked()) close.current();
    };
    window.addEventListener('popstate', onBack);
    return () => {
      window.removeEventListener('popstate', onBack);
      if (isMarked()) window.history.back();
    };
  }, []);
}

/** What lies over the page until it is answered or closed, by its buttons, Escape or the browser's Back. */
export function Sheet({ onClose, ...props }: SheetProps) {
  useBackCloses(onClose);
  return <Dialog open onClose={onClose} {...props} />;
}
