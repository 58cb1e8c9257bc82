import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { Answer } from '#core/faults/stops.ts';
import type { SignId } from '#core/book/fault.ts';
import type { InterviewView } from '#contract/faults.ts';
import { Caution } from '#web/ui/Caution.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

const WORDS: Readonly<Record<Answer, string>> = { yes: 'Yes', no: 'No', 'cannot-tell': 'I cannot tell' };
const OPTIONS = [
  { value: 'yes', words: WORDS.yes },
  { value: 'no', words: WORDS.no },
  { value: 'cannot-tell', words: WORDS['cannot-tell'] },
] as const satisfies readonly { value: Answer; words: string }[];

type SaidSoFarProps = {
  readonly interview: InterviewView;
  readonly onAnswer: (sign: SignId, answer: Answer) => void;
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

/** What was noticed and answered; any of it can be said otherwise. */
export function SaidSoFar({ interview: { said, against }, onAnswer }: SaidSoFarProps) {
  const [open, setOpen] = useState<SignId | null>(null);
  /** An answer that would lift a stop: it is asked once more. */
  const [doubted, setDoubted] = useState<SignId | null>(null);
  const change = (sign: SignId | null, next?: Answer) => {
    if (sign !== null && next !== undefined) onAnswer(sign, next);
    setOpen(null);
    setDoubted(null);
  };
  return (
    <>
      {against && (
        <Caution below={1}>
          The last answer goes against an earlier one: “{against.words}”. Have another look at it.
        </Caution>
      )}
      <PlainList>
        {said.map(({ sign, words, question, answer, noticed, stops }) => (
          <PlainRow key={sign}>
            <Grid columns="1fr auto" align="center">
              <Typography>
                {noticed ? words : question}
                <Quiet> · {noticed && answer === 'yes' ? 'noticed' : WORDS[answer]}</Quiet>
              </Typography>
              <Button
                color="inherit"
                aria-expanded={open === sign}
                aria-label={`Change: ${words}`}
                onClick={() => setOpen(open === sign ? null : sign)}
              >
                Change
              </Button>
            </Grid>
            {open === sign && doubted !== sign && (
              <ChooseOne
                label={question}
                options={OPTIONS}
                value={answer}
                onChange={(next) => (stops && next === 'no' ? setDoubted(sign) : change(sign, next))}
              />
            )}
            {doubted === sign && <LiftsTheStop onMistake={() => change(sign, 'no')} onLeave={() => change(null)} />}
          </PlainRow>
        ))}
      </PlainList>
    </>
  );
}
