import {
  instrumentPaths,
  shelfPlace,
  type AddInstrumentRequest,
  type DepartureRequest,
  type ReviseBuildRequest,
} from '#contract/instruments.ts';
import { useLog } from '#web/features/record/log.actions.ts';

/** An instrument comes; its id is the key of the form. */
export const useAddInstrument = () =>
  useLog({
    path: instrumentPaths.add,
    answer: shelfPlace,
    about: (_: Omit<AddInstrumentRequest, 'id'>) => 'everything',
    form: true,
    envelope: (id) => ({ id }),
  });

/** How an instrument is built from now on. */
export const useReviseBuild = () =>
  useLog({
    path: instrumentPaths.builds,
    about: ({ instrumentId }: Pick<ReviseBuildRequest, 'instrumentId' | 'build'>) => [instrumentId],
  });

/** The day an instrument left the shelf; null where it came back. */
export const useSetDeparture = () =>
  useLog({
    path: instrumentPaths.departures,
    about: ({ instrumentId }: Pick<DepartureRequest, 'instrumentId' | 'leftOn'>) => [instrumentId],
  });
