import { mdiCheckBold } from '@mdi/js';
import { Box, Button, Typography } from '@mui/material';
import { MARK_WORDS } from '#core/explain/mark-words.ts';
import type { MethodChoiceView } from '#contract/methods.ts';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Icon } from '#web/ui/Icon.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type ChoiceWellProps = {
  readonly choice: MethodChoiceView;
  readonly question: string;
  readonly busy: boolean;
  readonly onChoose: () => void;
};

/** What the choice costs beside the one in force: the figure of the year, else how much it changes. */
function CostLine({ choice, question }: Pick<ChoiceWellProps, 'choice' | 'question'>) {
  const { changes, yearWords, inForce, barred, words } = choice;
  if (inForce || barred !== null) return null;
  if (changes.length === 0)
    return (
      <Typography variant="body2" color="text.secondary">
        No step, minute or date changes.
      </Typography>
    );
  return (
    <WhyFold lines={changes} about={`${question} ${words}`} label="What changes">
      <Text component="span" variant="body2" strong>
        {yearWords === '' ? 'No more time' : yearWords}
      </Text>
    </WhyFold>
  );
}

/** One way of doing it: what it is, what it rests on, and what it would change. */
export function ChoiceWell({ choice, question, busy, onChoose }: ChoiceWellProps) {
  const { words, inForce, isDefault, mark, cost, barred } = choice;
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr auto' },
        columnGap: 2,
        rowGap: 0.5,
        alignItems: 'start',
        bgcolor: inForce ? 'well.main' : 'transparent',
        border: inForce ? '2px solid' : '1px solid',
        borderColor: inForce ? 'text.primary' : 'divider',
        borderRadius: '10px',
        px: 1.5,
        py: 1,
      }}
    >
      <Space>
        <Text strong>
          {words}{' '}
          <Quiet small>
            {isDefault && '· the default '}· {MARK_WORDS[mark]}
          </Quiet>
        </Text>
        {cost && (
          <Typography variant="body2" color="text.secondary">
            It costs: {cost}.
          </Typography>
        )}
        {barred && <Typography variant="body2">Not here: {barred}.</Typography>}
        <CostLine choice={choice} question={question} />
      </Space>
      {inForce ? (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75, minHeight: 44, fontWeight: 650 }}>
          <Icon path={mdiCheckBold} fontSize="small" />
          In force
        </Box>
      ) : (
        <Button
          variant="outlined"
          color="inherit"
          disabled={busy || barred !== null}
          onClick={onChoose}
          aria-label={`Do it this way: ${words}`}
          sx={{ justifySelf: 'start' }}
        >
          Do it this way
        </Button>
      )}
    </Box>
  );
}
