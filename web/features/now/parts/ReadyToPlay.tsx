import { Button, Typography } from '@mui/material';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentPage } from '#contract/care.ts';
import { duration, listed } from '#core/explain/format.ts';
import { BeforeTheFirstNote } from '#web/features/now/parts/BeforeTheFirstNote.tsx';
import { SomethingWrong, WrongLines } from '#web/features/now/parts/FaultsNow.tsx';
import { Actions } from '#web/ui/Actions.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

/** What packing up in a hurry has left, and one tap to do it. */
const LeftFromPackingUp = ({
  left,
  busy,
  onStart,
}: {
  readonly left: InstrumentPage['leftForLater'];
  readonly busy: boolean;
  readonly onStart: (itemIds: readonly CareItemId[]) => void;
}) => (
  <Row gap={1.5} wrap align="center" below={2}>
    <Typography>Left from packing up: {listed(left.map(({ name }) => name.toLowerCase()))}.</Typography>
    <Button
      variant="outlined"
      color="inherit"
      disabled={busy}
      onClick={() => onStart(left.map(({ itemId }) => itemId))}
    >
      Do it now
    </Button>
  </Row>
);

export type ReadyProps = {
  readonly page: InstrumentPage;
  /** When it was last played, and for how long. */
  readonly played: string;
  readonly busy: boolean;
  readonly onPlayed: () => void;
  readonly onFinishLeft: (itemIds: readonly CareItemId[]) => void;
  /** As is usual; null: all of it. */
  readonly onMakeReady: (alone?: null) => void;
  readonly onBreak: () => void;
};

/** It is packed up and may be played; what is new or has rested is looked over first. */
export function ReadyToPlay({ page, played, busy, onPlayed, onFinishLeft, onMakeReady, onBreak }: ReadyProps) {
  const { leftForLater, water, alone, firstNote } = page;
  return (
    <>
      <Text variant="h1" below={1}>
        {firstNote ? firstNote.words : 'Ready to play'}.
      </Text>
      <Text below={water.letOut || leftForLater.length > 0 ? 1 : 2.5}>{played}</Text>
      {firstNote && <BeforeTheFirstNote firstNote={firstNote} busy={busy} onStart={onFinishLeft} />}
      {leftForLater.length > 0 && <LeftFromPackingUp left={leftForLater} busy={busy} onStart={onFinishLeft} />}
      {water.letOut && (
        <Space below={1.5}>
          <WhyFold lines={water.letOut.because} about="when to let water out">
            <Typography component="span" color="water.ink">
              While playing, let water out about every {duration(water.letOut.minutes)}.
            </Typography>
          </WhyFold>
        </Space>
      )}
      <BrassButton leads={firstNote === null} onClick={onPlayed}>
        I have just played
      </BrassButton>
      <WrongLines page={page} />
      <Space above={2}>
        <Actions>
          <Button color="inherit" disabled={busy} onClick={() => onMakeReady()}>
            {alone.usual === null ? 'Make ready to play' : `Make ready: ${alone.usual.name.toLowerCase()}`}
          </Button>
          {alone.usual !== null && (
            <Button color="inherit" disabled={busy} onClick={() => onMakeReady(null)}>
              Make ready: all of it
            </Button>
          )}
          <Button color="inherit" onClick={onBreak}>
            A break
          </Button>
          <SomethingWrong page={page} />
        </Actions>
      </Space>
    </>
  );
}
