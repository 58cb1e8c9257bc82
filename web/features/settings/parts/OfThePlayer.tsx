import { Autocomplete, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { COLDEST_ROOM, USUAL_ROOM_CELSIUS, WARMEST_ROOM } from '#core/air/room.ts';
import { celsiusTyped, temperatureUnit } from '#core/explain/units.ts';
import { SURE_ENOUGH } from '#core/reeds/reed-numbers.ts';
import { HIGHEST_TUNING, LOWEST_TUNING, REED_WISHES, STANDARD_TUNING, type ReedWish } from '#core/settings/settings.ts';
import type { SettingsView } from '#contract/settings.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { useSettle } from '#web/features/settings/settings.actions.ts';
import { Actions } from '#web/ui/Actions.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { Caution } from '#web/ui/Caution.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { degreesText } from '#web/ui/degrees-text.ts';
import { Grid } from '#web/ui/layout.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { typedNumber } from '#web/ui/typed-number.ts';

const WISH_WORDS: Readonly<Record<ReedWish, string>> = { fewer: 'Open fewer', usual: 'As usual', surer: 'Be surer' };

const shareOf = (wish: ReedWish): string => `${Math.round(SURE_ENOUGH[wish].value * 100)}\u00a0%`;

type OfThePlayerProps = {
  readonly name: string;
  readonly view: SettingsView;
  readonly settle: ReturnType<typeof useSettle>;
};

/** What the record takes as usual: the room, and the currency before anything has a price. */
export function OfThePlayer({ name, view, settle }: OfThePlayerProps) {
  const [room, setRoom] = useState(view.roomCelsius === null ? '' : degreesText(view.roomCelsius));
  const [currency, setCurrency] = useState(view.currency);
  const typed = room.trim() === '' ? null : celsiusTyped(typedNumber(room), FORMAT.units);
  const isRoom = typed === null || (typed >= COLDEST_ROOM && typed <= WARMEST_ROOM);
  const [reedWish, setReedWish] = useState(view.reedWish);
  const [a, setA] = useState(view.tuningHertz === null ? '' : String(view.tuningHertz));
  const tuningHertz = a.trim() === '' ? null : typedNumber(a);
  const isTuning =
    tuningHertz === null ||
    (Number.isInteger(tuningHertz) && tuningHertz >= LOWEST_TUNING && tuningHertz <= HIGHEST_TUNING);
  const keep = () =>
    settle.log(
      { playerId: view.playerId, roomCelsius: typed, tuningHertz, currency, reedWish },
      { said: 'Saved. What hangs on it is worked out anew.' },
    );
  return (
    <Compartment title={`In the record, for ${name}`}>
      <Grid gap={2} above={2.5}>
        <TextField
          fullWidth
          label={`The room you usually play in, ${temperatureUnit(FORMAT.units)}`}
          value={room}
          onChange={({ target }) => setRoom(target.value)}
          error={!isRoom}
          helperText={
            isRoom
              ? `The water in the bore goes by it. Empty: ${FORMAT.celsius(USUAL_ROOM_CELSIUS)}, as most rooms.`
              : `A room is between ${FORMAT.celsius(COLDEST_ROOM)} and ${FORMAT.celsius(WARMEST_ROOM)}.`
          }
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
        <TextField
          fullWidth
          label="The A you tune to, Hz"
          value={a}
          onChange={({ target }) => setA(target.value)}
          error={!isTuning}
          helperText={
            isTuning
              ? `It stands on the sheet for the lid of the case. ${STANDARD_TUNING} is the standard; your band says its own.`
              : `Whole Hz, between ${LOWEST_TUNING} and ${HIGHEST_TUNING}.`
          }
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
        />
        <ChooseOne
          label="Reeds for a concert"
          options={REED_WISHES.map((value) => ({ value, words: WISH_WORDS[value] }))}
          value={reedWish}
          onChange={setReedWish}
        />
        <Quiet small>
          So likely enough of them are ready on the day: {REED_WISHES.map(shareOf).join(', ')}. Being surer takes more
          reeds.
        </Quiet>
        <Autocomplete
          options={view.currencies}
          value={currency}
          disabled={view.isPriced}
          onChange={(_event, chosen) => setCurrency(chosen)}
          renderInput={(params) => (
            <TextField
              {...params}
              label="Prices in"
              helperText={view.isPriced ? 'Something has a price already: the whole record counts in it.' : undefined}
            />
          )}
        />
        {settle.problem && <Caution role="alert">{settle.problem}</Caution>}
        <Actions>
          <BrassButton disabled={settle.busy || !isRoom || !isTuning} onClick={keep}>
            Save
          </BrassButton>
        </Actions>
        <Typography variant="body2" color="text.secondary">
          It can be taken back in the record of any of your instruments.
        </Typography>
      </Grid>
    </Compartment>
  );
}
