import { Button, DialogContent, DialogTitle, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { duration } from '#core/explain/format.ts';
import { LONGEST_SET } from '#core/reeds/reed-pin.ts';
import { UNIT_MINUTES } from '#core/reeds/rotation.ts';
import { addDays } from '#core/time/local-date.ts';
import type { ReedPlanView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';
import { PlayMinutes } from '#web/ui/PlayMinutes.tsx';
import { shifted, type Session } from '#web/features/reeds/parts/reed-rows-grid.ts';
import type { Cell } from '#web/ui/use-moves.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { DayStepper } from '#web/ui/DayStepper.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';

type SessionSheetProps = {
  readonly plan: ReedPlanView;
  readonly session: Session;
  readonly busy: boolean;
  readonly onSet: (session: Session, to: Cell, minutes: number) => void;
  /** Left to the plan again. */
  readonly onFree: (session: Session) => void;
  readonly onClose: () => void;
};

const inFives = (minutes: number): number =>
  Math.min(LONGEST_SET, Math.max(UNIT_MINUTES, Math.round(minutes / UNIT_MINUTES) * UNIT_MINUTES));
const USUAL = 45;

/** A planned session: another day, another reed, longer or shorter, not at all; or left to the plan again. */
export function SessionSheet({ plan, session, busy, onSet, onFree, onClose }: SessionSheetProps) {
  const [to, setTo] = useState<Cell>({ row: session.row, day: session.day });
  const [minutes, setMinutes] = useState(session.minutes > 0 ? session.minutes : USUAL);
  const day = addDays(plan.today, session.day);
  const [earlier, later] = [-1, 1].map((by) => shifted(to, { row: 0, day: by }, plan));
  const standing = `${session.minutes > 0 ? `${duration(session.minutes)} on` : 'Not on'} ${FORMAT.weekdayDate(day)}`;
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="session-title">
      <DialogTitle id="session-title" variant="h1">
        {plan.rows[session.row]?.boxName}, reed {plan.rows[session.row]?.number}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <Typography color="text.secondary">
            {standing}, {session.isSet ? 'set by you' : 'planned by Ulu'}. What you set stays, and the rest is planned
            round it.
          </Typography>
          <DayStepper
            day={addDays(plan.today, to.day)}
            onEarlier={earlier?.day === to.day ? null : () => setTo(earlier ?? to)}
            onLater={later?.day === to.day ? null : () => setTo(later ?? to)}
          />
          <TextField
            select
            label="Reed"
            value={String(to.row)}
            onChange={({ target }) => setTo({ ...to, row: Number(target.value) })}
          >
            {plan.rows.map(({ reedId, boxName, number }, row) => (
              <MenuItem key={reedId} value={String(row)}>
                {boxName}, reed {number}
              </MenuItem>
            ))}
          </TextField>
          <PlayMinutes minutes={minutes} setMinutes={(next) => setMinutes(inFives(next))} />
          <BrassButton disabled={busy} onClick={() => onSet(session, to, minutes)}>
            Set it
          </BrassButton>
          {session.minutes > 0 && (
            <Button variant="outlined" color="inherit" disabled={busy} onClick={() => onSet(session, session, 0)}>
              Not on {FORMAT.weekdayDate(day)}
            </Button>
          )}
          {session.isSet && (
            <Button variant="outlined" color="inherit" disabled={busy} onClick={() => onFree(session)}>
              Let Ulu plan it again
            </Button>
          )}
          <Button color="inherit" onClick={onClose}>
            Not now
          </Button>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
