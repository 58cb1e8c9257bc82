import { Button, Typography } from '@mui/material';
import type { SignId } from '#core/book/fault.ts';
import type { Answer } from '#core/faults/stops.ts';
import type { StripSegment } from '#contract/instruments.ts';
import type { InterviewView, QuestionView } from '#contract/faults.ts';
import { answersTo } from '#web/features/faults/parts/answers-to.ts';
import { WhatElse } from '#web/features/faults/parts/WhatElse.tsx';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { BoreStrip } from '#web/ui/BoreStrip.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type AskedQuestionProps = {
  readonly question: QuestionView;
  readonly interview: Pick<InterviewView, 'asked' | 'said'>;
  readonly strip: readonly StripSegment[];
  readonly busy: boolean;
  /** Of several things that are asked about at once, `so` is what is so. */
  readonly onAnswer: (answer: Answer, so?: readonly SignId[]) => void;
  readonly onBack: (() => void) | null;
};

/** One question at a time: where to look, what is meant, and a few answers a thumb can hit. */
export function AskedQuestion({ question, interview, strip, busy, onAnswer, onBack }: AskedQuestionProps) {
  const { part, partName, how, tool, isStop, why, options, several } = question;
  const isOnTube = part !== null && strip.some((segment) => segment.part === part);
  return (
    <Compartment>
      <Typography variant="body2" color="text.secondary">
        Question {interview.asked + 1}
        {partName && ` · ${partName.toLowerCase()}`}
        {tool && ` · needs ${tool}`}
      </Typography>
      <Text variant="h1" component="h2" ink={isStop ? 'stop.ink' : undefined} above={1} below={1}>
        {question.question}
      </Text>
      {how && (
        <Text measured below={1.5}>
          {how}
        </Text>
      )}
      {isOnTube && <BoreStrip segments={strip} activePart={part} bare label={`Where to look: ${partName ?? ''}`} />}
      {options && several ? (
        <WhatElse options={options} busy={busy} onAnswer={onAnswer} />
      ) : (
        <Grid columns={options ? { xs: '1fr', sm: '1fr 1fr' } : { xs: '1fr 1fr', sm: '1fr 1fr 1.4fr' }} above={1.5}>
          {answersTo(options).map(({ value, words, answer, so }) => (
            <AnswerButton
              key={value}
              disabled={busy}
              onClick={() => onAnswer(answer, so)}
              lineOnPhone={answer === 'cannot-tell'}
            >
              {words}
            </AnswerButton>
          ))}
        </Grid>
      )}
      <Row gap={0} between align="baseline" above={1}>
        <WhyFold lines={[{ rule: 'asked', text: why, mark: 'estimate' }]} about="this question" label="Why this one" />
        {onBack && (
          <Button color="inherit" disabled={busy} onClick={onBack}>
            Back
          </Button>
        )}
      </Row>
    </Compartment>
  );
}
