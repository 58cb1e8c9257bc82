import { Box, Button, Typography } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import type { CareClockView } from '#contract/care.ts';
import { HANDS_WORDS } from '#web/ui/hands-words.ts';
import { TubeGauge } from '#web/ui/TubeGauge.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

type CareRowProps = {
  readonly clock: CareClockView;
  readonly onDo: (itemId: string) => void;
  readonly onDone: (clock: CareClockView) => void;
  readonly busy?: boolean;
};

/** One care item: how it stands, why, and the two things to be done about it. */
export function CareRow({ clock, onDo, onDone, busy = false }: CareRowProps) {
  const { name, gauge, hands, atBench, minutes, because, partName } = clock;
  const atHome = hands !== 'bench';
  const handsWords = atBench ? null : HANDS_WORDS[hands];
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'auto 1fr', sm: 'auto 1fr auto' },
        columnGap: 1.5,
        alignItems: 'center',
        py: 0.75,
        borderTop: '1px solid',
        borderColor: 'divider',
        '&:first-of-type': { borderTop: 'none' },
      }}
    >
      <TubeGauge gauge={gauge} atBench={!atHome} />
      <Box sx={{ minWidth: 0 }}>
        <Typography sx={{ fontWeight: 650, lineHeight: 1.25 }}>{name}</Typography>
        <WhyFold lines={because} about={`${name}, ${gauge.words}`}>
          <Typography
            component="span"
            variant="body2"
            sx={{ color: gauge.state === 'overdue' ? 'stop.ink' : 'text.secondary' }}
          >
            {gauge.words} · {partName.toLowerCase()}
            {handsWords && ` · ${handsWords}`}
          </Typography>
        </WhyFold>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, gridColumn: { xs: '2', sm: 'auto' } }}>
        {atHome && (
          <Button
            variant="outlined"
            color="inherit"
            disabled={busy}
            onClick={() => onDo(clock.itemId)}
            aria-label={`Do it · about ${duration(Math.max(1, minutes))}: ${name}`}
          >
            Do it · about {duration(Math.max(1, minutes))}
          </Button>
        )}
        <Button
          color="inherit"
          disabled={busy}
          onClick={() => onDone(clock)}
          aria-label={`${atHome ? 'Done already' : 'The bench did it'}: ${name}`}
        >
          {atHome ? 'Done already' : 'The bench did it'}
        </Button>
      </Box>
    </Box>
  );
}
