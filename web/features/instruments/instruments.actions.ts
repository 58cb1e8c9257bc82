import { buildFact, departureFact, instrumentAddition } from '#contract/instruments.ts';
import { useLog } from '#web/record/log.actions.ts';

/** An instrument comes; its id is the key of the form. */
export const useAddInstrument = () => useLog(instrumentAddition, { form: true });

/** How an instrument is built from now on. */
export const useReviseBuild = () => useLog(buildFact);

/** The day an instrument left the shelf; null where it came back. */
export const useSetDeparture = () => useLog(departureFact);
