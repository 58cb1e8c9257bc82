import {
  Autocomplete,
  DialogContent,
  DialogTitle,
  Stack,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { MOST_BENCH } from '#core/bench/bench-terms.ts';
import { counted } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { plainName } from '#core/kernel/visible-text.ts';
import type { BenchView, RegionList } from '#contract/bench.ts';
import { localDate } from '#core/time/local-date.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { useBenchTerms } from '#web/features/calendar/calendar.actions.ts';
import { NumberStepper } from '#web/ui/NumberStepper.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';

type BenchTermsSheetProps = {
  readonly playerId: PlayerId;
  readonly terms: BenchView['terms'];
  /** Where public holidays are known; none before they have come. */
  readonly regions: RegionList;
  readonly kept: ReturnType<typeof useBenchTerms>;
  readonly onClose: () => void;
};

const FIGURES = [
  { figure: 'workingDays', label: 'Working days there' },
  { figure: 'shippingDays', label: 'Days on the way, each way' },
  { figure: 'settlingDays', label: 'Days to get used to it again' },
] as const;

const MONTHS = Array.from({ length: 12 }, (_, at) => at + 1);
/** Some day of a month, to write its name. */
const inMonth = (month: number) => localDate(`2026-${String(month).padStart(2, '0')}-15`);

/** Which bench one goes to, and how long an instrument is away. */
export function BenchTermsSheet({ playerId, terms, regions, kept, onClose }: BenchTermsSheetProps) {
  const [entry, setEntry] = useState(terms);
  const change = (part: Partial<typeof entry>) => setEntry((before) => ({ ...before, ...part }));
  const keep = () => {
    const { said: _said, name, phone, ...figures } = entry;
    const content = {
      playerId,
      ...figures,
      name: plainName(name ?? '') || null,
      phone: plainName(phone ?? '') || null,
    };
    kept.log(content, { said: 'Your bench is noted.', onLogged: onClose });
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="bench-title">
      <DialogTitle id="bench-title" variant="h1">
        My bench
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <TextField
            label="Name"
            value={entry.name ?? ''}
            onChange={({ target }) => change({ name: target.value })}
            slotProps={{ htmlInput: { maxLength: 60 } }}
          />
          <TextField
            label="Phone"
            value={entry.phone ?? ''}
            onChange={({ target }) => change({ phone: target.value })}
            slotProps={{ htmlInput: { maxLength: 40, inputMode: 'tel' } }}
          />
          <Autocomplete
            options={regions}
            value={regions.find(({ region }) => region === entry.region) ?? null}
            getOptionLabel={({ name }) => name}
            isOptionEqualToValue={(one, other) => one.region === other.region}
            onChange={(_, chosen) => change({ region: chosen?.region ?? null })}
            renderInput={(params) => (
              <TextField
                {...params}
                label="Public holidays of"
                helperText="The bench is shut on them, and no parcel comes. None are assumed until you say where."
              />
            )}
          />
          {FIGURES.map(({ figure, label }) => (
            <NumberStepper
              key={figure}
              label={label}
              words={counted(entry[figure], 'day')}
              onLess={() => change({ [figure]: Math.max(0, entry[figure] - 1) })}
              onMore={() => change({ [figure]: Math.min(MOST_BENCH[figure], entry[figure] + 1) })}
            />
          ))}
          {entry.shippingDays > 0 && (
            <div>
              <Typography id="no-shipping">Months in which nothing is sent, for frost or heat</Typography>
              <ToggleButtonGroup
                aria-labelledby="no-shipping"
                size="small"
                value={entry.noShippingMonths}
                onChange={(_, months: number[]) => change({ noShippingMonths: months.toSorted((a, b) => a - b) })}
              >
                {MONTHS.map((month) => (
                  <ToggleButton key={month} value={month}>
                    {FORMAT.month(inMonth(month))}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            </div>
          )}
          {!terms.said && (
            <Typography variant="body2" color="text.secondary">
              These are estimates. Ask your bench how long it takes.
            </Typography>
          )}
          <SheetEnd problem={kept.problem} disabled={kept.busy} onKeep={keep} onClose={onClose}>
            Keep it so
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
