import type { ChooseView } from '#contract/doublereeds.ts';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { Grid } from '#web/ui/layout.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type Pupil = ChooseView['pupils'][number];
type PupilButtonsProps = {
  readonly pupils: readonly Pupil[];
  readonly busy: boolean;
  readonly onPupil: (pupil: Pupil) => void;
};

/** A class before the first note: a reed of each in one tap, the next in one more. */
export const PupilButtons = ({ pupils, busy, onPupil }: PupilButtonsProps) => (
  <Grid above={1}>
    {pupils.map((one) => (
      <AnswerButton key={one.instrumentId} disabled={busy} onClick={() => onPupil(one)}>
        {one.playerName}&ensp;<Quiet>{one.kindName}</Quiet>
      </AnswerButton>
    ))}
  </Grid>
);
