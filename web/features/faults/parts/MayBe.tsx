import { Box, Typography } from '@mui/material';
import type { InterviewView, SuspectView } from '#contract/faults.ts';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { useWhyFold } from '#web/ui/WhyFold.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

/** Filled as far as it is believed: a bar of the tube, beside the word that says the same. */
const Chance = ({ percent }: { readonly percent: number }) => (
  <Box
    aria-hidden
    sx={{
      width: 10,
      alignSelf: 'stretch',
      minHeight: 36,
      border: '2px solid',
      borderColor: 'tube.wall',
      borderRadius: 1,
      display: 'flex',
      alignItems: 'flex-end',
      overflow: 'hidden',
    }}
  >
    <Box sx={{ width: '100%', height: `${percent}%`, bgcolor: 'text.primary' }} />
  </Box>
);

function Suspect({ suspect }: { readonly suspect: SuspectView }) {
  const { name, wordSaid, percent, partName, because, remedy, wasTried } = suspect;
  const lines = because.map(({ text, mark }) => ({ rule: text, text, mark }));
  const why = useWhyFold({
    lines: [{ rule: 'chance', text: `About ${percent} in 100 by what is known so far.`, mark: 'estimate' }, ...lines],
    about: name,
  });
  return (
    <PlainRow columns="auto 1fr auto">
      <Chance percent={percent} />
      <Space>
        <Text strong>{name}</Text>
        <Typography variant="body2" color="text.secondary">
          {wordSaid}
          {partName && ` · ${partName.toLowerCase()}`} ·{' '}
          {wasTried ? 'tried, did not help' : remedy.handWords.toLowerCase()}
        </Typography>
      </Space>
      {why.button}
      {why.fold}
    </PlainRow>
  );
}

/** What it may be, likeliest first, in words; figures under Why. */
export const MayBe = ({
  interview: { suspected, notInListPercent, forChild },
}: {
  readonly interview: InterviewView;
}) => (
  <>
    <PlainList>
      {suspected.map((suspect) => (
        <Suspect key={suspect.cause} suspect={suspect} />
      ))}
    </PlainList>
    <Text variant="body2" color="text.secondary" above={1}>
      {notInListPercent >= 30
        ? `It may well be something that is not in this list (about ${notInListPercent} in 100). Then ${forChild ? 'a grown-up or your teacher' : 'a teacher or the bench'} finds it.`
        : `Something that is not in this list: ${notInListPercent < 1 ? 'fewer than 1' : `about ${notInListPercent}`} in 100.`}
    </Text>
  </>
);
