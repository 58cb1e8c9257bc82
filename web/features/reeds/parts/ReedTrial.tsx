import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import {
  BEGIN,
  TRIAL_FEEL_WORDS,
  TRIAL_FEELS,
  TRIAL_WORDS,
  trialDone,
  trialFelt,
  type TrialStep,
} from '#core/reeds/reed-trial.ts';
import type { ReedFeel } from '#core/reeds/reed.ts';
import { Grid, Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type ReedTrialProps = {
  readonly hasBack: boolean;
  readonly onFlattened: () => void;
  /** It comes to a grade: what it is good for is asked next. */
  readonly onGrade: (feel: ReedFeel) => void;
};

const wordsOf = (at: Exclude<TrialStep, { step: 'feel' | 'grade' }>) =>
  TRIAL_WORDS[at.step === 'move' ? at.way : at.step];

/** A reed is tried, one thing after the other, until it can be graded. */
export function ReedTrial({ hasBack, onFlattened, onGrade }: ReedTrialProps) {
  const [trial, setTrial] = useState(BEGIN);
  const { at } = trial;
  const done = () => {
    if (at.step === 'flatten') onFlattened();
    setTrial(trialDone(trial));
  };
  if (at.step === 'feel' || at.step === 'grade')
    return (
      <Box>
        <Text variant="h2" below={1}>
          How does it feel?
        </Text>
        <Row wrap>
          {TRIAL_FEELS.map((feel) => (
            <Button
              key={feel}
              variant="outlined"
              color="inherit"
              onClick={() => {
                const next = trialFelt(trial, feel, hasBack);
                setTrial(next);
                if (next.at.step === 'grade') onGrade(next.at.feel);
              }}
            >
              {TRIAL_FEEL_WORDS[feel]}
            </Button>
          ))}
        </Row>
      </Box>
    );
  const { title, how } = wordsOf(at);
  return (
    <Grid gap={1} start>
      <Typography variant="h2">{title}</Typography>
      <Typography>{how}</Typography>
      <Button variant="outlined" color="inherit" onClick={done}>
        {at.step === 'play' ? 'I have played it' : 'Done'}
      </Button>
    </Grid>
  );
}
