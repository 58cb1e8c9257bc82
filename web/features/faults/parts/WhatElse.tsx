import { useState } from 'react';
import type { SignId } from '#core/book/fault.ts';
import type { Answer } from '#core/faults/stops.ts';
import type { QuestionView } from '#contract/faults.ts';
import { SignChoice } from '#web/features/faults/parts/SignChoice.tsx';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Grid } from '#web/ui/layout.tsx';

type WhatElseProps = {
  readonly options: NonNullable<QuestionView['options']>;
  /** What was said to be so before. */
  readonly before?: readonly SignId[];
  readonly busy: boolean;
  /** Yes with what is so, no where nothing of it is; or nobody can tell. */
  readonly onAnswer: (answer: Answer, so?: readonly SignId[]) => void;
};

/** Everything else that can be noticed: choose what is so, then say that this is all. */
export function WhatElse({ options, before = [], busy, onAnswer }: WhatElseProps) {
  const [chosen, setChosen] = useState(before);
  const toggle = (sign: SignId) =>
    setChosen(chosen.includes(sign) ? chosen.filter((one) => one !== sign) : [...chosen, sign]);
  return (
    <Grid gap={1} above={1.5}>
      {/* In sight, however long the list is. */}
      <BrassButton
        disabled={busy}
        onClick={() => (chosen.length === 0 ? onAnswer('no') : onAnswer('yes', chosen))}
        sx={{ minHeight: 56, position: 'sticky', top: 8, zIndex: 1 }}
      >
        {chosen.length === 0 ? 'Nothing else' : 'That is all'}
      </BrassButton>
      <SignChoice signs={options} chosen={chosen} onToggle={toggle} />
      <AnswerButton disabled={busy} onClick={() => onAnswer('cannot-tell')}>
        I cannot tell
      </AnswerButton>
    </Grid>
  );
}
