import { FormControlLabel, MenuItem, Switch, TextField, Typography, useColorScheme } from '@mui/material';
import { localDate } from '#core/time/local-date.ts';
import { FORMAT } from '#web/clock/format.ts';
import {
  firstDayOfWeek,
  keepSettings,
  language,
  settings,
  TEXT_SIZES,
  units,
  type Settings,
} from '#web/session/settings.ts';
import { REMEMBERED, remember, useRemembered } from '#web/session/stored.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Grid } from '#web/ui/layout.tsx';

/** Regions by what they write, each with its own name (CLDR through the browser). */
const REGIONS = [
  ...['en-GB', 'en-US', 'en-CA', 'en-AU', 'en-IE', 'en-NZ', 'en-ZA', 'de-DE', 'de-AT', 'de-CH', 'fr-FR', 'fr-CH'],
  ...['nl-NL', 'da-DK', 'sv-SE', 'nb-NO', 'fi-FI', 'es-ES', 'pt-PT', 'pt-BR', 'it-IT', 'pl-PL', 'cs-CZ', 'ja-JP'],
] as const;
const nameOf = (region: string): string => {
  try {
    return new Intl.DisplayNames(['en'], { type: 'language' }).of(region) ?? region;
  } catch {
    return region;
  }
};
const AS_BROWSER = 'browser';
const LIGHTS = [
  { value: 'light', words: 'Light' },
  { value: 'dark', words: 'Dark' },
  { value: 'system', words: 'As the device' },
] as const;
const SIZES: Readonly<Record<Settings['textSize'], string>> = { usual: 'Usual', larger: 'Larger', largest: 'Largest' };
/** Days a week begins on anywhere: Monday, Sunday, Saturday. */
const FIRST_DAYS = [0, 6, 5] as const;

/** How this device writes days and numbers, what it types degrees and lengths in, its light, its letters, its keys. */
export function OfThisDevice() {
  const now = settings();
  const change = (over: Partial<Settings>) => keepSettings({ ...now, ...over });
  const { mode, setMode } = useColorScheme();
  const keysOn = useRemembered(REMEMBERED.shortcuts) !== 'off';
  const { temperature, length } = units();
  return (
    <Compartment title="This device">
      <Grid gap={2} above={2.5}>
        <TextField
          select
          fullWidth
          label="Days and numbers as in"
          value={now.region ?? AS_BROWSER}
          onChange={({ target: { value } }) => change({ region: value === AS_BROWSER ? null : value })}
          helperText={`${FORMAT.date(localDate('2026-11-24'))} · ${FORMAT.number(1234.5)}`}
        >
          <MenuItem value={AS_BROWSER}>
            The browser ({nameOf(now.region === null ? language() : navigator.language)})
          </MenuItem>
          {REGIONS.map((region) => (
            <MenuItem key={region} value={region}>
              {nameOf(region)}
            </MenuItem>
          ))}
        </TextField>
        <ChooseOne
          label="A week begins on"
          options={FIRST_DAYS.map((day) => ({ value: String(day), words: FORMAT.weekday(day) }))}
          value={String(firstDayOfWeek())}
          onChange={(day) => change({ firstDay: Number(day) })}
        />
        <ChooseOne
          label="Temperatures"
          options={[
            { value: 'celsius', words: 'Celsius' },
            { value: 'fahrenheit', words: 'Fahrenheit' },
          ]}
          value={temperature}
          onChange={(chosen) => change({ temperature: chosen })}
        />
        <ChooseOne
          label="Lengths"
          options={[
            { value: 'mm', words: 'Millimetres' },
            { value: 'inch', words: 'Inches' },
          ]}
          value={length}
          onChange={(chosen) => change({ length: chosen })}
        />
        <ChooseOne label="Light" options={LIGHTS} value={mode ?? 'system'} onChange={setMode} />
        <ChooseOne
          label="Size of the text"
          options={TEXT_SIZES.map((value) => ({ value, words: SIZES[value] }))}
          value={now.textSize}
          onChange={(textSize) => change({ textSize })}
        />
        <FormControlLabel
          control={
            <Switch checked={keysOn} onChange={(_event, on) => remember(REMEMBERED.shortcuts, on ? 'on' : 'off')} />
          }
          label="Shortcuts of a single key"
        />
        <Typography variant="body2" color="text.secondary">
          These stay on this device. Nobody else’s pages change.
        </Typography>
      </Grid>
    </Compartment>
  );
}
