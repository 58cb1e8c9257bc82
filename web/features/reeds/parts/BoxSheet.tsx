import { DialogContent, DialogTitle, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { moneyAsTyped, typedMoney } from '#core/money/money.ts';
import {
  DOUBLE_REED_TENTHS,
  MOST_IN_A_BOX,
  SCRAPES,
  type BreakIn,
  type ReedMaterial,
  type Scrape,
} from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { SCRAPE_WORDS } from '#core/doublereeds/table-words.ts';
import { plainName } from '#core/kernel/visible-text.ts';
import type { ReedBoxView, ReedsOfKindView } from '#contract/reed-views.ts';
import { BoxBefore } from '#web/features/reeds/parts/BoxBefore.tsx';
import { CostField, isCostRight } from '#web/ui/CostField.tsx';
import type { useReedBox } from '#web/features/reeds/reeds.actions.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { typedNumber } from '#web/ui/typed-number.ts';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';
import { Grid } from '#web/ui/layout.tsx';

/** A box that is there already. */
type BoxAsEntered = Omit<ReedBoxView, 'reeds'>;

type BoxSheetProps = {
  readonly playerId: PlayerId;
  readonly of: Pick<ReedsOfKindView, 'kind' | 'kindName' | 'breaksIn'>;
  /** The box that is put right; none where a new one has come. */
  readonly old: BoxAsEntered | null;
  /** In which prices are said; null before the first of them. */
  readonly currency: string | null;
  readonly today: LocalDate;
  readonly box: ReturnType<typeof useReedBox>;
  readonly onClose: () => void;
};

const MATERIALS = [
  { value: 'cane', words: 'Cane' },
  { value: 'synthetic', words: 'Synthetic' },
] as const;
/** A length as it was typed, tenths of a millimetre; undefined where nothing was. */
const tenthsTyped = (length: string): number | undefined =>
  length.trim() === '' ? undefined : Math.round(typedNumber(length) * 10);
const isLengthRight = (length: string): boolean => {
  const tenths = tenthsTyped(length);
  return tenths === undefined || (tenths >= DOUBLE_REED_TENTHS.least && tenths <= DOUBLE_REED_TENTHS.most);
};
const SCRAPE_OPTIONS = SCRAPES.map((value) => ({ value, words: SCRAPE_WORDS[value] }));
const BREAK_INS = [
  { value: 'week', words: 'In a week' },
  { value: 'two-weeks', words: 'In two weeks' },
  { value: 'none', words: 'Not at all' },
] as const;

type Entry = {
  readonly name: string;
  readonly strength: string;
  readonly material: ReedMaterial;
  readonly breakIn: BreakIn;
  readonly scrape: Scrape | undefined;
  /** Of a double reed as it came, mm as it was typed. */
  readonly length: string;
  readonly cameOn: LocalDate | null;
  readonly place: string;
  readonly cost: string;
  readonly currency: string;
  readonly before: readonly (number | null)[];
  readonly apart: boolean;
};
const MOST_COMMON = 'EUR';

/** What is usual for a box that has just come. */
const usualEntry = (currency: string | null, today: LocalDate): Entry => ({
  name: '',
  strength: '',
  material: 'cane',
  breakIn: 'week',
  scrape: undefined,
  length: '',
  cameOn: today,
  place: '',
  cost: '',
  currency: currency ?? MOST_COMMON,
  before: Array.from({ length: 10 }, () => 0),
  apart: false,
});
/** What is there already. */
function entryOf(
  { entered, material, breakIn, scrape, lengthTenths, cameOn, place }: BoxAsEntered,
  usual: Entry,
): Entry {
  const { name, strength, cost, before } = entered;
  const length = lengthTenths === undefined ? '' : String(lengthTenths / 10);
  const told = { name, strength: strength ?? '', place: place ?? '', cost: cost ? moneyAsTyped(cost) : '' };
  return { ...usual, ...told, material, breakIn, scrape, length, cameOn, before };
}

/** As many as there are now; those that come on are as the last one is. */
const resized = (before: Entry['before'], count: number): Entry['before'] =>
  Array.from({ length: count }, (_, index) => (index < before.length ? before[index] : before.at(-1)) ?? null);

type FieldsProps = Pick<BoxSheetProps, 'of' | 'currency' | 'today'> & {
  readonly entry: Entry;
  readonly onChange: (part: Partial<Entry>) => void;
};

function Fields({ of: { breaksIn, kind }, currency, today, entry, onChange }: FieldsProps) {
  const { name, strength, material, breakIn, scrape, cameOn, place, before, apart } = entry;
  const scraped = kind === 'oboe' || kind === 'cor-anglais';
  const isDouble = scraped || kind === 'bassoon';
  return (
    <>
      <Grid gap={1.5} columns="2fr 1fr">
        <TextField
          autoFocus
          label="Name"
          value={name}
          onChange={({ target }) => onChange({ name: target.value })}
          slotProps={{ htmlInput: { maxLength: 40 } }}
        />
        <TextField
          label="Strength"
          value={strength}
          onChange={({ target }) => onChange({ strength: target.value })}
          slotProps={{ htmlInput: { maxLength: 12 } }}
        />
      </Grid>
      <TextField
        select
        label="How many reeds"
        value={before.length}
        onChange={({ target }) => onChange({ before: resized(before, Number(target.value)) })}
      >
        {Array.from({ length: MOST_IN_A_BOX }, (_, index) => (
          <MenuItem key={index} value={index + 1}>
            {index + 1}
          </MenuItem>
        ))}
      </TextField>
      <BoxBefore before={before} apart={apart} onChange={(counts, each) => onChange({ before: counts, apart: each })} />
      <ChooseOne
        label="Made of"
        options={MATERIALS}
        value={material}
        onChange={(value) => onChange({ material: value })}
      />
      {breaksIn && material === 'cane' && (
        <ChooseOne
          label="Break them in"
          options={BREAK_INS}
          value={breakIn}
          onChange={(value) => onChange({ breakIn: value })}
        />
      )}
      {scraped && (
        <ChooseOne
          label="How they are scraped"
          options={SCRAPE_OPTIONS}
          value={scrape ?? 'unknown'}
          onChange={(value) => onChange({ scrape: value })}
        />
      )}
      {isDouble && (
        <TextField
          label="How long a reed is, mm"
          value={entry.length}
          onChange={({ target }) => onChange({ length: target.value })}
          error={!isLengthRight(entry.length)}
          helperText="Where it was measured: then no clip goes below its shortest."
          slotProps={{ htmlInput: { maxLength: 5, inputMode: 'decimal' } }}
        />
      )}
      <DateField label="It came on" value={cameOn} onChange={(day) => onChange({ cameOn: day })} latest={today} />
      <TextField
        label="Where it lies"
        value={place}
        onChange={({ target }) => onChange({ place: target.value })}
        slotProps={{ htmlInput: { maxLength: 40 } }}
      />
      <CostField
        label="What the box cost"
        cost={entry.cost}
        currency={entry.currency}
        isKnown={currency !== null}
        onChange={onChange}
      />
    </>
  );
}

/** A box has come, or is put right: its name, how many, and how far gone they are. What has a usual answer has it already. */
export function BoxSheet({ playerId, of, old, currency, today, box, onClose }: BoxSheetProps) {
  const [entry, setEntry] = useState(() => {
    const usual = usualEntry(currency, today);
    return old === null ? usual : entryOf(old, usual);
  });
  const { name, strength, material, breakIn, scrape, cameOn, place, before } = entry;
  const cannot =
    box.busy ||
    name.trim() === '' ||
    cameOn === null ||
    !isLengthRight(entry.length) ||
    !isCostRight(entry.cost, entry.currency.toUpperCase());
  const keep = () =>
    cameOn !== null &&
    box.log(
      {
        playerId,
        kind: of.kind,
        name: plainName(name),
        cut: old?.cut ?? null,
        strength: plainName(strength) || null,
        material,
        breakIn: of.breaksIn && material === 'cane' ? breakIn : 'none',
        scrape,
        lengthTenths: tenthsTyped(entry.length),
        place: plainName(place) || null,
        cost: entry.cost.trim() === '' ? null : typedMoney(entry.cost, entry.currency),
        cameOn,
        before: [...before],
      },
      {
        said: old === null ? 'The box is in the record.' : 'The box is put right.',
        corrects: old?.key,
        onLogged: onClose,
      },
    );
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="box-title">
      <DialogTitle id="box-title" variant="h1">
        {old === null ? `Add a box of reeds: ${of.kindName}` : `Change the box: ${old.name}`}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <Fields
            of={of}
            currency={currency}
            today={today}
            entry={entry}
            onChange={(part) => setEntry((before) => ({ ...before, ...part }))}
          />
          {old === null && (
            <Typography variant="body2" color="text.secondary">
              Only the name is needed. All of it can be changed later.
            </Typography>
          )}
          <SheetEnd problem={box.problem} disabled={cannot} onKeep={keep} onClose={onClose}>
            {old === null ? 'Add the box' : 'Keep it so'}
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
