import { Button } from '@mui/material';
import type { ShownStep } from '#contract/shown-run.ts';
import { Row } from '#web/ui/layout.tsx';

type LookAnswersProps = {
  readonly look: NonNullable<ShownStep['look']>;
  readonly onAnswer: (answer: string) => void;
};

/** What a look may find, one tap each; what stops the item says so. */
export const LookAnswers = ({ look, onAnswer }: LookAnswersProps) => (
  <Row role="group" aria-label={look.question} wrap>
    {look.answers.map(({ id, words, endsItem }) => (
      <Button
        key={id}
        variant="outlined"
        color="inherit"
        onClick={() => onAnswer(id)}
        sx={{ minHeight: 52, px: 2, borderWidth: 2, color: endsItem ? 'stop.ink' : 'text.primary' }}
      >
        {words}
        {endsItem && ': to the bench'}
      </Button>
    ))}
  </Row>
);
