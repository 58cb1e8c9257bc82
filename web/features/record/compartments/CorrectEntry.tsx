import type { ComponentType } from 'react';
import { DECLARED, type CorrectableKind } from '#contract/facts.ts';
import { saidAgain } from '#contract/fact.ts';
import type { RecordEntryView } from '#contract/record.ts';
import { CorrectAir } from '#web/features/record/compartments/CorrectAir.tsx';
import { CorrectBill } from '#web/features/record/compartments/CorrectBill.tsx';
import { CorrectBox } from '#web/features/record/compartments/CorrectBox.tsx';
import { CorrectEvent } from '#web/features/record/compartments/CorrectEvent.tsx';
import { CorrectInspection } from '#web/features/record/compartments/CorrectInspection.tsx';
import type { CorrectingProps } from '#web/features/record/compartments/correcting.ts';
import { CorrectPlay } from '#web/features/record/compartments/CorrectPlay.tsx';

/** Kinds that stand in no record by themselves: they are put right where they are shown. */
type ElsewhereKind = 'reed-play';
type FormKind = Exclude<CorrectableKind, ElsewhereKind>;

/** The form of every kind that can be put right. A kind without one does not compile. */
const FORMS: { readonly [Kind in FormKind]: ComponentType<CorrectingProps<Kind>> } = {
  play: CorrectPlay,
  event: CorrectEvent,
  'reed-box': CorrectBox,
  'air-reading': CorrectAir,
  inspection: CorrectInspection,
  bill: CorrectBill,
};

type CorrectEntryProps = { readonly entry: RecordEntryView; readonly onClose: () => void };

/** Puts an entry of the record right, by the form of its kind. */
export function CorrectEntry({ entry: { kind, key, said }, onClose }: CorrectEntryProps) {
  const declared = DECLARED.find((one) => one.kind === kind);
  if (declared === undefined || !(kind in FORMS)) return null;
  // The kind says which form takes what was said, and its own schema reads it.
  const Form = FORMS[kind as FormKind] as ComponentType<CorrectingProps<CorrectableKind>>;
  const content = saidAgain<object>(declared, said ?? {}) as CorrectingProps<CorrectableKind>['said'];
  return <Form entryKey={key} said={content} onClose={onClose} />;
}
