import { Stack } from '@mui/material';
import type { HighShare, ReedId } from '#core/reeds/reed.ts';
import { HIGH } from '#web/features/reeds/parts/high-choice.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';

export type ReedOffered = { readonly reedId: ReedId; readonly name: string };

/** The choice of not saying it now. */
export const UNSAID = 'unsaid';
/** So many have room beside each other; the others stand under Reeds. */
const OFFERED = 2;

type ReedPlayedProps = {
  readonly reeds: readonly ReedOffered[];
  readonly reedId: ReedId | typeof UNSAID;
  readonly onReed: (reedId: ReedId | typeof UNSAID) => void;
  readonly high: HighShare;
  readonly onHigh: (high: HighShare) => void;
};

/** On which reed: the one for now is set, another is one tap, and so is leaving it for later. */
export function ReedPlayed({ reeds, reedId, onReed, high, onHigh }: ReedPlayedProps) {
  if (reeds.length === 0) return null;
  const offered = reeds.slice(0, OFFERED).map(({ reedId: value, name }) => ({ value, words: name }));
  return (
    <Stack spacing={1.5}>
      <ChooseOne<ReedId | typeof UNSAID>
        label="On which reed?"
        options={[...offered, { value: UNSAID, words: 'Say later' }]}
        value={reedId}
        onChange={onReed}
      />
      {reedId !== UNSAID && <ChooseOne label="How high was it?" options={HIGH} value={high} onChange={onHigh} />}
    </Stack>
  );
}
