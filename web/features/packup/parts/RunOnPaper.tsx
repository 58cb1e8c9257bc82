import { Box, Typography } from '@mui/material';
import { counted } from '#core/explain/format.ts';
import type { ShownStretch } from '#web/features/packup/run-stretches.ts';
import { PlainList } from '#web/ui/PlainList.tsx';
import { TickBox } from '#web/ui/TickBox.tsx';

type RunOnPaperProps = { readonly stretches: readonly ShownStretch[] };

/** A run as it is printed: every step with a box to tick, how often, and how. On the screen it is not there. */
export const RunOnPaper = ({ stretches }: RunOnPaperProps) => (
  <Box data-on-paper sx={{ display: 'none', displayPrint: 'block', gridColumn: '1 / -1' }}>
    {stretches.map(({ key, title, steps }) => (
      <section key={key}>
        <Typography variant="h2">{title}</Typography>
        <PlainList gap={0.5}>
          {steps
            .filter(({ called }) => called !== 'no')
            .map((step) => (
              <Typography key={step.key} component="li">
                <TickBox /> <b>{step.heading}</b>
                {step.repeats !== null &&
                  step.count !== null &&
                  step.count > 1 &&
                  `, ${counted(step.count, step.repeats.noun)}`}
                {step.onlyIf !== null && ` (only if: ${step.onlyIf})`}. {step.how}
              </Typography>
            ))}
        </PlainList>
      </section>
    ))}
  </Box>
);
