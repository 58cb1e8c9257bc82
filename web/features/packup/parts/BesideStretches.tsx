import { HowOf, StepDrawing } from '#web/features/packup/parts/StepDrawing.tsx';
import type { ShownStretch } from '#web/features/packup/run-stretches.ts';
import { Column } from '#web/ui/TwoColumns.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { type Shown, type EndsProps, Ends } from '#web/features/packup/parts/AllStretches.tsx';

/** BesideStretches the stretches: the one at hand drawn, how its steps are done, and on a wide screen the ways to end. */
export const BesideStretches = ({
  run,
  stretch,
  several,
  end,
}: Pick<Shown, 'run'> & {
  readonly stretch: ShownStretch | null;
  readonly several: boolean;
  readonly end?: EndsProps;
}) =>
  stretch && (
    <Column last>
      <Compartment title={stretch.title}>
        <StepDrawing run={run} steps={stretch.steps} />
        <HowOf steps={stretch.steps} several={several} />
        {end && <Ends {...end} />}
      </Compartment>
    </Column>
  );
