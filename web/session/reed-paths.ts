import { useParams } from 'react-router';
import { reedId, type ReedId } from '#core/reeds/reed.ts';

/** Where a reed is looked at; an instrument of its kind keeps its place on the shelf, where there is one. */
export const tablePath = (instrumentId: string | null, reed: string): string =>
  `/double-reeds/${instrumentId ?? '-'}/${reed}`;
/** Where it is chosen which reed is looked at. */
export const choosePath = (instrumentId: string): string => `/double-reeds/${instrumentId}`;
export const looksPath = (instrumentId: string | null): string => `/double-reeds/${instrumentId ?? '-'}/looks`;

/** The reed the address names. Whether there is one, the server says. */
export const useReedId = (): ReedId => {
  const { boxKey = '', number = '' } = useParams();
  return reedId(boxKey, Number(number));
};
