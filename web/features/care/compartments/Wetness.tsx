import type { InstrumentPage } from '#contract/care.ts';
import { useForgetWetness } from '#web/features/care/care.actions.ts';
import { WetnessBelief } from '#web/features/care/parts/WetnessBelief.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';

/** How wet its player blows it, learned from "was the last pass dry?". */
export function Wetness({ page: { instrument, wetness } }: { readonly page: InstrumentPage }) {
  const { forget, busy } = useForgetWetness(instrument.id);
  if (wetness === null) return null;
  return (
    <Compartment title="How wet you blow it">
      <WetnessBelief wetness={wetness} busy={busy} onReset={forget} />
    </Compartment>
  );
}
