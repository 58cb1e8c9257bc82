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
import { MOMENTS } from '#web/app/moments.ts';
import { REMEMBERED, remember, useRemembered } from '#web/session/stored.ts';
import { Space } from '#web/ui/layout.tsx';

const KEYS: readonly (readonly [string, string])[] = [
  ...MOMENTS.map(({ key, name }) => [`g then ${key}`, `Go to ${name}`] as const),
  ['Enter or Space', 'Tick the step at hand'],
  ['N', 'One more pass'],
  ['S', 'Skip the step at hand'],
  ['?', 'This list'],
];

/** The list of single-key shortcuts, and the switch that turns them off. */
export function KeyList({ onClose }: { readonly onClose: () => void }) {
  const on = useRemembered(REMEMBERED.shortcuts) !== 'off';
  return (
    <Dialog open onClose={onClose} aria-labelledby="shortcut-title">
      <DialogTitle id="shortcut-title">Keys</DialogTitle>
      <DialogContent>
        <Table size="small">
          <TableBody>
            {KEYS.map(([key, words]) => (
              <TableRow key={key}>
                <TableCell component="th" scope="row">
                  {key}
                </TableCell>
                <TableCell>{words}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
        <Space above={2}>
          <FormControlLabel
            control={
              <Switch
                checked={on}
                onChange={(_event, checked) => remember(REMEMBERED.shortcuts, checked ? 'on' : 'off')}
              />
            }
            label="Single-key shortcuts"
          />
        </Space>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
