import { Typography } from '@mui/material';
import type { ReactNode } from 'react';
import type { MoveView, TableView } from '#contract/doublereeds.ts';
import { CrowMove } from '#web/features/doublereeds/parts/CrowMove.tsx';
import { isDrawn, LookPair } from '#web/features/doublereeds/parts/LookPair.tsx';
import type { Shape } from '#web/features/doublereeds/parts/ReedFigure.tsx';
import { SoakMove } from '#web/features/doublereeds/parts/SoakMove.tsx';
import { StepMove } from '#web/features/doublereeds/parts/StepMove.tsx';
import type { TableActions } from '#web/features/doublereeds/doublereeds.actions.ts';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

type MoveAtHandProps = {
  readonly examination: NonNullable<TableView['examination']>;
  readonly shape: Shape;
  readonly answeredMs: number;
  readonly actions: TableActions;
  /** What can be done at an end. */
  readonly atEnd: ReactNode;
};

function LookMove({
  look,
  shape,
  busy,
  onAnswer,
}: {
  readonly look: NonNullable<MoveView['look']>;
  readonly shape: Shape;
  readonly busy: boolean;
  readonly onAnswer: (answer: NonNullable<MoveView['look']>['answers'][number]['answer']) => void;
}) {
  return (
    <>
      {isDrawn(look.look) && <LookPair look={look.look} shape={shape} />}
      <Grid columns={{ xs: '1fr 1fr', sm: `repeat(${look.answers.length}, 1fr)` }} above={1.5}>
        {look.answers.map(({ answer, words }) => (
          <AnswerButton
            key={answer}
            disabled={busy}
            onClick={() => onAnswer(answer)}
            lineOnPhone={answer === 'cannot-tell'}
          >
            {words}
          </AnswerButton>
        ))}
      </Grid>
    </>
  );
}

/** The one thing that is next at the table. */
export function MoveAtHand({ examination, shape, answeredMs, actions, atEnd }: MoveAtHandProps) {
  const { key, move, said } = examination;
  const { soak, look, crow, step, end } = move;
  const { busy } = actions;
  const last = said.at(-1)?.key;
  return (
    <Compartment>
      <Typography variant="h1" component="h2">
        {move.title}
      </Typography>
      {step === null && move.how !== null && (
        <Text measured above={1}>
          {move.how}
        </Text>
      )}
      {soak && <SoakMove soak={soak} answeredMs={answeredMs} busy={busy} onSay={(one) => actions.soak(key, one)} />}
      {look && (
        <LookMove look={look} shape={shape} busy={busy} onAnswer={(answer) => actions.look(key, look.look, answer)} />
      )}
      {crow && <CrowMove key={said.length} crow={crow} busy={busy} onCrow={(heard) => actions.crow(key, heard)} />}
      {step && (
        <StepMove step={step} how={move.how} shape={shape} busy={busy} onTaken={(taken) => actions.step(key, taken)} />
      )}
      {end && atEnd}
      <Row gap={0} between align="baseline" above={1}>
        {move.because.length > 0 ? <WhyFold lines={move.because} about={move.title} label="Why" /> : <span />}
        {last !== undefined && (
          <AnswerButton disabled={busy} onClick={() => actions.takeBack(last)}>
            Back
          </AnswerButton>
        )}
      </Row>
    </Compartment>
  );
}
