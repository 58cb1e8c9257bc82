import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Switch,
  Table,
  TableBody,
  TableCell,
  TableRow,
} from '@mui/material';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { MOMENTS } from '#web/app/moments.ts';
import { areShortcutsOn, isTyping } from '#web/session/shortcuts.ts';
import { REMEMBERED, remember, useRemembered } from '#web/session/stored.ts';

const KEYS: readonly (readonly [string, string])[] = [
  ...MOMENTS.map(({ key, name }) => [`g then ${key}`, `Go to ${name}`] as const),
  ['Enter or Space', 'Tick the step at hand'],
  ['N', 'One more pass'],
  ['S', 'Skip the step at hand'],
  ['?', 'This list'],
];

const G_LASTS_MS = 1500;

type ShortcutKeysProps = {
  readonly instrumentId: string | null;
  readonly open: boolean;
  readonly setOpen: (open: boolean) => void;
};

/** Single-key shortcuts, which can be switched off, and the list of them. */
export function ShortcutKeys({ instrumentId, open, setOpen }: ShortcutKeysProps) {
  const on = useRemembered(REMEMBERED.shortcuts) !== 'off';
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
  return (
    <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="shortcut-title">
      <DialogTitle id="shortcut-title">Keys</DialogTitle>
      <DialogContent>
        <Table size="small">
          <TableBody>
            {KEYS.map(([key, words]) => (
              <TableRow key={key}>
                <TableCell component="th" scope="row" sx={{ fontWeight: 650 }}>
                  {key}
                </TableCell>
                <TableCell>{words}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
        <FormControlLabel
          sx={{ mt: 2 }}
          control={
            <Switch
              checked={on}
              onChange={(_event, checked) => remember(REMEMBERED.shortcuts, checked ? 'on' : 'off')}
            />
          }
          label="Single-key shortcuts"
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={() => setOpen(false)}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
