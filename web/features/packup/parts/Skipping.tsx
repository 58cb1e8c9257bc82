import type { RunStepKey } from '#core/packup/run-step.ts';
import { standingOn } from '#core/packup/run-progress.ts';
import { SkipDialog } from '#web/features/packup/parts/SkipDialog.tsx';
import type { Shown } from '#web/features/packup/parts/AllStretches.tsx';

/** Asks why a step is skipped, once somebody wants to. */
export function Skipping({
  run,
  stepKey,
  log,
  onClose,
}: Pick<Shown, 'run' | 'log'> & { readonly stepKey: RunStepKey | null; readonly onClose: () => void }) {
  const step = run.steps.find(({ key }) => key === stepKey);
  if (step === undefined) return null;
  return (
    <SkipDialog
      barred={standingOn(run.steps, step).map(({ heading }) => heading)}
      step={step}
      onClose={onClose}
      onSkip={(reason) => {
        log.skip(step.key, reason);
        onClose();
      }}
    />
  );
}
