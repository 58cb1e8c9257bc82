import { mdiCheck } from '@mdi/js';
import { Box, ButtonBase, Typography } from '@mui/material';
import { useState } from 'react';
import { aboutDuration, counted } from '#core/explain/format.ts';
import { countdown } from '#core/packup/run-progress.ts';
import { StepRow, type RowLog } from '#web/features/packup/parts/StepRow.tsx';
import type { ShownStretch } from '#web/features/packup/run-stretches.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Icon } from '#web/ui/Icon.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';

type StretchListProps = RowLog & {
  readonly stretches: readonly ShownStretch[];
  /** The one to go on with, open unless another has been opened. */
  readonly atHandKey: string | null;
  /** The step that has a card of its own. */
  readonly stepKey: string | null;
  readonly nowMs: number;
  readonly readOnly: boolean;
  /** One tap for the whole stretch; without it steps are ticked one by one. */
  readonly onDone?: (stretch: ShownStretch) => void;
};

function howFar({ closed, total, minutes, waitsUntilMs, isForHome }: ShownStretch, nowMs: number): string {
  if (isForHome) return 'at home';
  if (total === 0) return 'nothing to do';
  if (closed === total) return 'done';
  if (waitsUntilMs !== null) return `waits ${countdown(waitsUntilMs, nowMs)}`;
  return closed === 0 ? aboutDuration(minutes) : `${closed} of ${counted(total, 'step')}`;
}

function Head({
  stretch,
  number,
  open,
  nowMs,
  onToggle,
}: {
  readonly stretch: ShownStretch;
  readonly number: number;
  readonly open: boolean;
  readonly nowMs: number;
  readonly onToggle: () => void;
}) {
  const isDone = stretch.closed === stretch.total && !stretch.isForHome;
  return (
    <ButtonBase
      onClick={onToggle}
      aria-expanded={open}
      sx={{
        width: '100%',
        minHeight: 44,
        px: 1,
        gap: 1.5,
        justifyContent: 'flex-start',
        flexWrap: 'wrap',
        textAlign: 'left',
        borderRadius: 2,
        color: isDone ? 'text.secondary' : 'text.primary',
      }}
    >
      <Box aria-hidden sx={{ width: 24, display: 'grid', placeItems: 'center', fontWeight: 650 }}>
        {isDone ? <Icon path={mdiCheck} fontSize="small" /> : number}
      </Box>
      <Typography component="span" variant="h3" sx={{ flex: '1 1 0', minWidth: 120, fontWeight: open ? 650 : 550 }}>
        {stretch.title}
      </Typography>
      <Typography component="span" variant="body2" color="text.secondary" sx={{ whiteSpace: 'nowrap' }}>
        {howFar(stretch, nowMs)}
      </Typography>
    </ButtonBase>
  );
}

/** Is there anything one tap could say, now or after a wait? What is left may be looks alone. */
const canBeSaid = ({ toTick, notNeeded, waitsUntilMs }: ShownStretch): boolean =>
  toTick.length + notNeeded.length > 0 || waitsUntilMs !== null;

/** All stretches of a run: the one at hand open with its steps, the rest folded to a line each. */
export function StretchList({ stretches, atHandKey, stepKey, nowMs, readOnly, onDone, ...log }: StretchListProps) {
  // What was opened by hand stays so until the run has moved on.
  const [chosen, setChosen] = useState<{ readonly at: string | null; readonly key: string | null } | null>(null);
  const openKey = chosen !== null && chosen.at === atHandKey ? chosen.key : atHandKey;
  return (
    <PlainList ordered gap={0}>
      {stretches.map((stretch, index) => {
        const open = stretch.key === openKey;
        return (
          <Box
            component="li"
            key={stretch.key}
            sx={{ borderTop: '1px solid', borderColor: index === 0 ? 'transparent' : 'divider' }}
          >
            <Head
              stretch={stretch}
              number={index + 1}
              open={open}
              nowMs={nowMs}
              onToggle={() => setChosen({ at: atHandKey, key: open ? null : stretch.key })}
            />
            {open && (
              <Box sx={{ pl: { xs: 0, sm: 1 }, pb: 0.75 }}>
                <PlainList gap={0}>
                  {stretch.steps.map((step) => (
                    <StepRow
                      key={step.key}
                      step={step}
                      here={step.key === stepKey}
                      several={stretch.title.startsWith('First')}
                      nowMs={nowMs}
                      readOnly={readOnly}
                      {...log}
                    />
                  ))}
                </PlainList>
                {onDone && !readOnly && canBeSaid(stretch) && (
                  <BrassButton
                    disabled={stretch.toTick.length + stretch.notNeeded.length === 0}
                    onClick={() => onDone(stretch)}
                    aria-label={`Done: ${stretch.title}`}
                    sx={{ mt: 0.75, minHeight: { xs: 56, sm: 48 }, minWidth: 200, width: { xs: '100%', sm: 'auto' } }}
                  >
                    {stretch.waitsUntilMs === null ? 'Done' : `Waits ${countdown(stretch.waitsUntilMs, nowMs)}`}
                  </BrassButton>
                )}
              </Box>
            )}
          </Box>
        );
      })}
    </PlainList>
  );
}
