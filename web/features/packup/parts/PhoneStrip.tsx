import { Box } from '@mui/material';
import type { ShownRun, ShownStep } from '#contract/shown-run.ts';
import { BoreStrip } from '#web/ui/BoreStrip.tsx';

type PhoneStripProps = { readonly run: ShownRun; readonly step: ShownStep | undefined };

/** On a phone the instrument stands upright beside its stretches, the part at hand outlined. */
export function PhoneStrip({ run, step }: PhoneStripProps) {
  const part = run.parts.find(({ instrumentId }) => instrumentId === step?.instrumentId);
  if (!part || !step) return null;
  return (
    <Box sx={{ display: { xs: 'block', sm: 'none' }, flex: '0 0 44px', alignSelf: 'flex-start' }}>
      <BoreStrip
        upright
        bare
        segments={part.strip}
        activePart={step.part}
        label={`${part.name}: ${step.partName.toLowerCase()}`}
      />
    </Box>
  );
}
