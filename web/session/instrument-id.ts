import { useParams } from 'react-router';
import type { InstrumentId } from '#core/instruments/instrument.ts';

/** The instrument the address names, or an empty name. Whether there is one of that id, the server says. */
export const useInstrumentId = (): InstrumentId => (useParams()['instrumentId'] ?? '') as InstrumentId;
