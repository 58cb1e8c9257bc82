import { mdiChevronDown } from '@mdi/js';
import { Button, ButtonBase, Collapse, Typography } from '@mui/material';
import { useId } from 'react';
import type { MethodView } from '#contract/methods.ts';
import { ChoiceWell } from '#web/features/methods/parts/ChoiceWell.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Icon } from '#web/ui/Icon.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type QuestionLineProps = {
  readonly method: MethodView;
  readonly open: boolean;
  readonly busy: boolean;
  readonly onToggle: () => void;
  readonly onChoose: (choice: string | null) => void;
};

/** A question with its answer on one line; opened, every way of doing it with what it would change. */
export function QuestionLine({ method, open, busy, onToggle, onChoose }: QuestionLineProps) {
  const { question, choices, byPlayer, defaultWhy } = method;
  const id = useId();
  const answer = choices.find(({ inForce }) => inForce)?.words ?? '';
  return (
    <PlainRow>
      <ButtonBase
        onClick={onToggle}
        aria-expanded={open}
        aria-controls={id}
        sx={{
          width: '100%',
          minHeight: 48,
          py: 0.75,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 24px', sm: 'minmax(0, 5fr) minmax(0, 6fr) 24px' },
          columnGap: 1.5,
          textAlign: 'left',
          alignItems: 'center',
        }}
      >
        <Typography component="span" color="text.secondary" sx={{ gridColumn: 1 }}>
          {question}
        </Typography>
        <Typography component="span" sx={{ fontWeight: 650, gridColumn: { xs: 1, sm: 2 } }}>
          {answer}
          <Quiet small> · {byPlayer ? 'yours' : 'default'}</Quiet>
        </Typography>
        <Icon
          path={mdiChevronDown}
          sx={{
            gridColumn: { xs: 2, sm: 3 },
            gridRow: 1,
            alignSelf: 'center',
            transform: open ? 'rotate(180deg)' : 'none',
          }}
        />
      </ButtonBase>
      <Collapse in={open} id={id} unmountOnExit>
        <PlainList gap={1}>
          {choices.map((choice) => (
            <ChoiceWell
              key={choice.choice}
              choice={choice}
              question={question}
              busy={busy}
              onChoose={() => onChoose(choice.choice)}
            />
          ))}
        </PlainList>
        <Typography variant="body2" color="text.secondary" sx={{ pb: 1.5 }}>
          The default, and why: {defaultWhy}.
          {byPlayer && (
            <Button color="inherit" size="small" disabled={busy} onClick={() => onChoose(null)}>
              Back to the default
            </Button>
          )}
        </Typography>
      </Collapse>
    </PlainRow>
  );
}
