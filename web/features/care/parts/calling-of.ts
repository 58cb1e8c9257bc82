import type { CareClockView, InstrumentPage } from '#contract/care.ts';

/** The clocks that call for attention, most pressing first. */
export const callingOf = ({ calling, clocks }: InstrumentPage): readonly CareClockView[] =>
  calling.flatMap((id) => clocks.find(({ itemId }) => itemId === id) ?? []);
