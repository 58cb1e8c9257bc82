import {
  Alert,
  Button,
  DialogActions,
  DialogContent,
  DialogTitle,
  MenuItem,
  Stack,
  TextField,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { USUAL_ROOM_CELSIUS } from '#core/air/room.ts';
import { celsiusTyped, temperatureUnit } from '#core/explain/units.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { ConditionOffer, ConditionsPage } from '#contract/conditions.ts';
import type { ConditionActions } from '#web/features/conditions/conditions.actions.ts';
import { DateField } from '#web/ui/DateField.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { FORMAT } from '#web/clock/format.ts';
import { degreesText } from '#web/ui/degrees-text.ts';
import { Sheet } from '#web/ui/Sheet.tsx';
import { typedNumber } from '#web/ui/typed-number.ts';
import { LineButton } from '#web/ui/LineButton.tsx';

type BeginConditionProps = {
  readonly page: ConditionsPage;
  readonly today: LocalDate;
  readonly actions: ConditionActions;
  /** What is suggested: asked about at once. */
  readonly suggested?: ConditionOffer | undefined;
  readonly onClose: () => void;
};

type Entry = {
  readonly beginsOn: LocalDate | null;
  readonly endsOn: LocalDate | null;
  readonly part: string;
  readonly alone: string;
  readonly celsius: string;
  readonly humidity: string;
};

/** What the condition chosen needs to know, and no more. */
function Fields({
  offer,
  entry,
  problem,
  onChange,
}: {
  readonly offer: ConditionOffer;
  readonly entry: Entry;
  readonly problem: (field: string) => { error: boolean; helperText?: string };
  readonly onChange: (entry: Entry) => void;
}) {
  const field = (name: 'part' | 'alone' | 'celsius' | 'humidity') => ({
    value: entry[name],
    onChange: ({ target }: { target: { value: string } }) => onChange({ ...entry, [name]: target.value }),
    // What stands there is a guess: the first key replaces it.
    onFocus: ({ target }: { target: HTMLInputElement | HTMLTextAreaElement }) => target.select(),
  });
  return (
    <Stack spacing={2}>
      <DateField
        label={offer.begins}
        value={entry.beginsOn}
        onChange={(beginsOn) => onChange({ ...entry, beginsOn })}
        {...problem('beginsOn')}
      />
      {offer.asks === 'part' && (
        <TextField select label="On which part" {...field('part')} {...problem('part')}>
          {offer.parts.map(({ part, name }) => (
            <MenuItem key={part} value={part}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      {offer.asks === 'alone' && (
        <TextField select label="What is played" {...field('alone')} {...problem('alone')}>
          {offer.alone.map(({ alone, name }) => (
            <MenuItem key={alone} value={alone}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      {offer.asks === 'air' && (
        <Stack direction="row" spacing={1}>
          <TextField
            fullWidth
            label="Humidity, %"
            {...field('humidity')}
            {...problem('air.humidityPercent')}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
          <TextField
            fullWidth
            label={`Temperature, ${temperatureUnit(FORMAT.units)}`}
            {...field('celsius')}
            {...problem('air.celsius')}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
        </Stack>
      )}
      <DateField
        label="Last day, if you know it"
        value={entry.endsOn}
        onChange={(endsOn) => onChange({ ...entry, endsOn })}
        error={problem('endsOn').error}
        helperText={problem('endsOn').helperText ?? `Else it ends ${offer.endWords}.`}
      />
    </Stack>
  );
}

/** Something has changed for a while: one tap says what, the day is today unless it says otherwise. */
export function BeginCondition({ page, today, actions, suggested, onClose }: BeginConditionProps) {
  const [offer, setOffer] = useState<ConditionOffer | null>(suggested ?? null);
  const [entry, setEntry] = useState<Entry>({
    beginsOn: today,
    endsOn: null,
    part: '',
    alone: '',
    celsius: degreesText(USUAL_ROOM_CELSIUS),
    humidity: '',
  });
  const [unread, setUnread] = useState(false);
  const { fields } = actions;
  const problem = (name: string) => {
    const found = fields.find(({ field }) => field === name);
    return found ? { error: true, helperText: found.message } : { error: false };
  };
  const save = () => {
    if (offer === null) return;
    const air = {
      celsius: celsiusTyped(typedNumber(entry.celsius), FORMAT.units),
      humidityPercent: typedNumber(entry.humidity),
    };
    const isUnread = offer.asks === 'air' && (Number.isNaN(air.celsius) || Number.isNaN(air.humidityPercent));
    setUnread(isUnread);
    if (isUnread) return;
    const { condition, name, parts, alone } = offer;
    const [only] = alone;
    if (entry.beginsOn === null) return;
    actions.begin(
      {
        condition,
        beginsOn: entry.beginsOn,
        endsOn: entry.endsOn,
        alone:
          alone.find((one) => one.alone === entry.alone)?.alone ?? (alone.length === 1 ? (only?.alone ?? null) : null),
        part: parts.find(({ part }) => part === entry.part)?.part ?? null,
        air: offer.asks === 'air' ? air : null,
      },
      name,
      onClose,
    );
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="begin-title">
      <DialogTitle id="begin-title" variant="h2">
        {offer === null ? 'What has changed?' : offer.name}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={1.5}>
          {offer === null ? (
            page.offers.map((one) => (
              <LineButton key={one.condition} variant="outlined" color="inherit" onClick={() => setOffer(one)} between>
                {one.name}
                {one.ofPlayer && (
                  <Typography component="span" variant="body2" color="text.secondary">
                    {page.playerName}
                  </Typography>
                )}
              </LineButton>
            ))
          ) : (
            <>
              {offer.ofPlayer && (
                <Typography variant="body2" color="text.secondary">
                  It holds for every instrument of {page.playerName}.
                </Typography>
              )}
              <Fields offer={offer} entry={entry} problem={problem} onChange={setEntry} />
              {unread && <Alert severity="error">Humidity and temperature are numbers, as the hygrometer shows.</Alert>}
              {actions.problem && fields.length === 0 && <Alert severity="error">{actions.problem}</Alert>}
            </>
          )}
        </Stack>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={offer === null ? onClose : () => setOffer(null)}>
          {offer === null ? 'Close' : 'Back'}
        </Button>
        {offer !== null && (
          <BrassButton disabled={actions.busy || entry.beginsOn === null} onClick={save}>
            Note it
          </BrassButton>
        )}
      </DialogActions>
    </Sheet>
  );
}
