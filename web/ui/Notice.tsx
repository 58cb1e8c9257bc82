import { Alert, Button, Snackbar } from '@mui/material';
import { createContext, use, useMemo, useState, type ReactNode } from 'react';

type NoticeContent = { readonly text: string; readonly tone?: 'said' | 'failed'; readonly undo?: () => void };
type Shown = NoticeContent & { readonly id: number };

const NoticeContext = createContext<(notice: NoticeContent) => void>(() => undefined);

/** Says what was just done, with the way to take it back. */
export const useNotice = () => use(NoticeContext);

const SHOWN_MS = 12_000;

export function NoticeProvider({ children }: { readonly children: ReactNode }) {
  const [shown, setShown] = useState<Shown | null>(null);
  const show = useMemo(() => (notice: NoticeContent) => setShown({ ...notice, id: Date.now() }), []);
  const close = () => setShown(null);
  const undo = shown?.undo;
  return (
    <NoticeContext value={show}>
      {children}
      <Snackbar
        key={shown?.id}
        open={shown !== null}
        autoHideDuration={SHOWN_MS}
        onClose={(_event, reason) => reason !== 'clickaway' && close()}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
        sx={{ mb: { xs: 8, md: 0 } }}
      >
        <Alert
          severity={shown?.tone === 'failed' ? 'error' : 'info'}
          icon={false}
          role={shown?.tone === 'failed' ? 'alert' : 'status'}
          sx={{
            bgcolor: 'frame.raised',
            color: 'frame.text',
            border: '1px solid',
            borderColor: shown?.tone === 'failed' ? 'stop.main' : 'frame.line',
            alignItems: 'center',
            fontSize: '1rem',
          }}
          action={
            <>
              {undo && (
                <Button
                  onClick={() => {
                    undo();
                    close();
                  }}
                  sx={{ color: 'brass.main' }}
                >
                  Undo
                </Button>
              )}
              <Button onClick={close} sx={{ color: 'frame.text' }}>
                Close
              </Button>
            </>
          }
        >
          {shown?.text}
        </Alert>
      </Snackbar>
    </NoticeContext>
  );
}
