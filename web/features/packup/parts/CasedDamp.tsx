import { Button } from '@mui/material';
import type { InstrumentPage } from '#contract/care.ts';
import { wallMinute } from '#core/plays/play.ts';
import { dampWords } from '#core/situation/damp-words.ts';
import { wallNow } from '#web/clock/today.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

/** It lies cased damp: how long, what that costs, and the one thing to do. */
export function CasedDamp({
  damp,
  busy,
  onLayOut,
  onPlayed,
}: {
  readonly damp: NonNullable<InstrumentPage['damp']>;
  readonly busy: boolean;
  readonly onLayOut: () => void;
  /** It is out of its case and was played again; asked only where that can be said. */
  readonly onPlayed?: () => void;
}) {
  const { on, atMinute } = wallNow();
  return (
    <>
      <Text variant="h1" below={1}>
        {dampWords(damp.sinceWallMinute, wallMinute(on, atMinute))}.
      </Text>
      <Space below={2}>
        <WhyFold lines={damp.because} about="what damp does" />
      </Space>
      <BrassButton disabled={busy} onClick={onLayOut}>
        Lay it out and dry it
      </BrassButton>
      {onPlayed && (
        <Space above={1}>
          <Button color="inherit" onClick={onPlayed}>
            I have played again
          </Button>
        </Space>
      )}
    </>
  );
}
