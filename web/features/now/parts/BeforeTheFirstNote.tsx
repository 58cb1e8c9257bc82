import type { InstrumentPage } from '#contract/care.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Space } from '#web/ui/layout.tsx';

type FirstNote = NonNullable<InstrumentPage['firstNote']>;

/** It is new here, or has rested long: it is looked at, oiled and greased before it is played. */
export const BeforeTheFirstNote = ({
  firstNote: { because, itemIds },
  busy,
  onStart,
}: {
  readonly firstNote: FirstNote;
  readonly busy: boolean;
  readonly onStart: (itemIds: FirstNote['itemIds']) => void;
}) => (
  <Space wide below={2}>
    <BrassButton disabled={busy} onClick={() => onStart(itemIds)}>
      Look it over
    </BrassButton>
    <WhyFold lines={because} about="the first note" />
  </Space>
);
