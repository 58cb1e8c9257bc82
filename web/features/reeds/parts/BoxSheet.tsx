import { Alert, Box, Button, DialogContent, DialogTitle, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { MOST_IN_A_BOX, type BreakIn, type ReedMaterial } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { useReedBox } from '#web/features/reeds/reeds.actions.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';

type BoxSheetProps = {
  readonly playerId: PlayerId;
  readonly kind: KindId;
  readonly kindName: string;
  /** Its reeds are broken in by the day, as single reeds are. */
  readonly breaksIn: boolean;
  readonly today: LocalDate;
  readonly box: ReturnType<typeof useReedBox>;
  readonly onClose: () => void;
};

const MATERIALS = [
  { value: 'cane', words: 'Cane' },
  { value: 'synthetic', words: 'Synthetic' },
] as const;
const BREAK_INS = [
  { value: 'week', words: 'In a week' },
  { value: 'two-weeks', words: 'In two weeks' },
  { value: 'none', words: 'Not at all' },
] as const;
/** How far gone the reeds of a box are, said at once for all of it: minutes, null where nobody knows. */
const BEFORE = {
  new: { words: 'All are new', minutes: 0 },
  week: { words: 'All played about a week', minutes: 170 },
  month: { words: 'All played about a month', minutes: 900 },
  unknown: { words: 'Played, nobody knows how long', minutes: null },
} as const satisfies Record<string, { words: string; minutes: number | null }>;
type Before = keyof typeof BEFORE;

/** Whole coins of an amount as it is typed, with a point or a comma; null where it is none. */
function minorOf(text: string): number | null {
  const value = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) && value >= 0 ? Math.round(value * 100) : null;
}

type CostProps = {
  readonly cost: string;
  readonly setCost: (cost: string) => void;
  readonly currency: string;
  readonly setCurrency: (currency: string) => void;
};

/** What the box cost, as it is typed. */
function Cost({ cost, setCost, currency, setCurrency }: CostProps) {
  const isWrong = cost.trim() !== '' && minorOf(cost) === null;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '2fr 1fr', gap: 1.5 }}>
      <TextField
        label="What the box cost"
        value={cost}
        onChange={({ target }) => setCost(target.value)}
        error={isWrong}
        helperText={isWrong ? 'An amount like 27.50' : undefined}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <TextField
        label="Currency"
        value={currency}
        onChange={({ target }) => setCurrency(target.value.toUpperCase().slice(0, 3))}
      />
    </Box>
  );
}

/** A box has come: its name, how many, and how far gone they are. What has a usual answer has it already. */
export function BoxSheet({ playerId, kind, kindName, breaksIn, today, box, onClose }: BoxSheetProps) {
  const [name, setName] = useState('');
  const [strength, setStrength] = useState('');
  const [count, setCount] = useState(10);
  const [material, setMaterial] = useState<ReedMaterial>('cane');
  const [breakIn, setBreakIn] = useState<BreakIn>('week');
  const [before, setBefore] = useState<Before>('new');
  const [cameOn, setCameOn] = useState<LocalDate | null>(today);
  const [place, setPlace] = useState('');
  const [cost, setCost] = useState('');
  const [currency, setCurrency] = useState('EUR');
  const minor = minorOf(cost);
  const cannot = box.busy || name.trim() === '' || cameOn === null || (cost.trim() !== '' && minor === null);
  const open = () =>
    cameOn !== null &&
    box.log(
      {
        playerId,
        kind,
        name: name.trim(),
        cut: null,
        strength: strength.trim() || null,
        material,
        breakIn: breaksIn && material === 'cane' ? breakIn : 'none',
        place: place.trim() || null,
        cost: minor === null ? null : { minor, currency },
        cameOn,
        before: Array.from({ length: count }, () => BEFORE[before].minutes),
      },
      { said: 'The box is in the record.', onLogged: onClose },
    );
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="box-title">
      <DialogTitle id="box-title" variant="h1">
        Add a box of reeds: {kindName}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2} sx={{ pt: 1 }}>
          <Box sx={{ display: 'grid', gridTemplateColumns: '2fr 1fr', gap: 1.5 }}>
            <TextField
              autoFocus
              label="Name"
              value={name}
              onChange={({ target }) => setName(target.value)}
              slotProps={{ htmlInput: { maxLength: 40 } }}
            />
            <TextField
              label="Strength"
              value={strength}
              onChange={({ target }) => setStrength(target.value)}
              slotProps={{ htmlInput: { maxLength: 12 } }}
            />
          </Box>
          <TextField
            select
            label="How many reeds"
            value={count}
            onChange={({ target }) => setCount(Number(target.value))}
          >
            {Array.from({ length: MOST_IN_A_BOX }, (_, index) => (
              <MenuItem key={index} value={index + 1}>
                {index + 1}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label="How far gone"
            value={before}
            onChange={({ target }) => setBefore(target.value as Before)}
          >
            {Object.entries(BEFORE).map(([value, { words }]) => (
              <MenuItem key={value} value={value}>
                {words}
              </MenuItem>
            ))}
          </TextField>
          <ChooseOne label="Made of" options={MATERIALS} value={material} onChange={setMaterial} />
          {breaksIn && material === 'cane' && (
            <ChooseOne label="Break them in" options={BREAK_INS} value={breakIn} onChange={setBreakIn} />
          )}
          <DateField label="It came on" value={cameOn} onChange={setCameOn} latest={today} />
          <TextField
            label="Where it lies"
            value={place}
            onChange={({ target }) => setPlace(target.value)}
            slotProps={{ htmlInput: { maxLength: 40 } }}
          />
          <Cost cost={cost} setCost={setCost} currency={currency} setCurrency={setCurrency} />
          {box.problem && <Alert severity="error">{box.problem}</Alert>}
          <Typography variant="body2" color="text.secondary">
            Only the name is needed. Until one of its reeds is played, the box can be taken back and added anew.
          </Typography>
          <BrassButton disabled={cannot} onClick={open}>
            Add the box
          </BrassButton>
          <Button color="inherit" onClick={onClose}>
            Not now
          </Button>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
