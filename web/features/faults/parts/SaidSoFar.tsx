import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { Answer } from '#core/faults/stops.ts';
import type { SignId } from '#core/book/fault.ts';
import type { InterviewView } from '#contract/faults.ts';
import { answersTo } from '#web/features/faults/parts/answers-to.ts';
import { WhatElse } from '#web/features/faults/parts/WhatElse.tsx';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { Caution } from '#web/ui/Caution.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type SaidLine = InterviewView['said'][number];

/** Which of the answers it was. */
const valueOf = ({ answer, options, sign }: SaidLine): string => (options && answer === 'yes' ? sign : answer);
function wordsOf(line: SaidLine): string {
  const { noticed, answer, several, options, so } = line;
  if (noticed && answer === 'yes') return 'noticed';
  if (several && answer === 'no') return 'nothing';
  const named = (options ?? []).filter(({ sign }) => so.includes(sign)).map(({ words }) => words);
  if (several && answer === 'yes') return named.join('; ');
  return answersTo(options).find(({ value }) => value === valueOf(line))?.words ?? '';
}

type SaidSoFarProps = {
  readonly interview: InterviewView;
  /** Said anew, by what was asked; of several asked about at once, `so` is what is so. */
  readonly onAnswer: (line: SaidLine, answer: Answer, so?: readonly SignId[]) => void;
};

type LiftsTheStopProps = { readonly onMistake: () => void; readonly onLeave: () => void };
/** The answer stopped the instrument: it is taken back as a mistake, and is not how a stop is cleared. */
const LiftsTheStop = ({ onMistake, onLeave }: LiftsTheStopProps) => (
  <Caution above={1} below={1}>
    This answer stops the instrument. Was it a mistake? Where somebody has looked since, say so above instead.
    <Row wrap above={1}>
      <Button variant="outlined" color="inherit" onClick={onLeave}>
        Leave it stopped
      </Button>
      <Button color="inherit" onClick={onMistake}>
        It was a mistake
      </Button>
    </Row>
  </Caution>
);

type SayAnewProps = {
  readonly line: SaidLine;
  readonly onChange: (answer: Answer, so?: readonly SignId[]) => void;
};
/** The answers there are, the one that was given pressed; what has many words stands one under the other. */
function SayAnew({ line, onChange }: SayAnewProps) {
  const answers = answersTo(line.options);
  if (line.options === null)
    return (
      <ChooseOne
        label={line.question}
        options={answers}
        value={valueOf(line)}
        onChange={(next) => onChange(answers.find(({ value }) => value === next)?.answer ?? 'cannot-tell')}
      />
    );
  if (line.several) return <WhatElse options={line.options} before={line.so} busy={false} onAnswer={onChange} />;
  return (
    <Grid columns={{ xs: '1fr', sm: '1fr 1fr' }} above={0.5}>
      {answers.map(({ value, words, answer, so }) => (
        <AnswerButton key={value} pressed={value === valueOf(line)} onClick={() => onChange(answer, so)}>
          {words}
        </AnswerButton>
      ))}
    </Grid>
  );
}

/** What was noticed and answered; any of it can be said otherwise. */
export function SaidSoFar({ interview: { said, against }, onAnswer }: SaidSoFarProps) {
  const [open, setOpen] = useState<SignId | null>(null);
  /** An answer that would lift a stop: it is asked once more. */
  const [doubted, setDoubted] = useState<SignId | null>(null);
  const shut = () => {
    setOpen(null);
    setDoubted(null);
  };
  const change = (line: SaidLine, answer: Answer, so?: readonly SignId[]) => {
    onAnswer(line, answer, so);
    shut();
  };
  return (
    <>
      {against && (
        <Caution below={1}>
          The last answer goes against an earlier one: “{against.words}”. Have another look at it.
        </Caution>
      )}
      <PlainList>
        {said.map((line) => (
          <PlainRow key={line.sign}>
            <Grid columns="1fr auto" align="center">
              <Typography>
                {line.noticed ? line.words : line.question}
                <Quiet> · {wordsOf(line)}</Quiet>
              </Typography>
              <Button
                color="inherit"
                aria-expanded={open === line.sign}
                aria-label={`Change: ${line.options ? line.question : line.words}`}
                onClick={() => setOpen(open === line.sign ? null : line.sign)}
              >
                Change
              </Button>
            </Grid>
            {open === line.sign && doubted !== line.sign && (
              <SayAnew
                line={line}
                onChange={(answer, so) =>
                  line.stops && answer === 'no' ? setDoubted(line.sign) : change(line, answer, so)
                }
              />
            )}
            {doubted === line.sign && <LiftsTheStop onMistake={() => change(line, 'no')} onLeave={shut} />}
          </PlainRow>
        ))}
      </PlainList>
    </>
  );
}
