import { Box, Button, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { duration } from '#core/explain/format.ts';
import { clockTime } from '#core/plays/play-words.ts';
import { MINUTES_PER_DAY, type WallClock } from '#core/plays/play.ts';
import type { BreakView } from '#contract/breaks.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { PlayMinutes } from '#web/ui/PlayMinutes.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type Meanwhile = BreakView['meanwhile'][number];

/** Something that happens while it is played: it opens into what may be done now. */
function Happens({ one: { sign, now, later } }: { readonly one: Meanwhile }) {
  const [open, setOpen] = useState(false);
  return (
    <PlainRow>
      <Button color="inherit" onClick={() => setOpen(!open)} aria-expanded={open}>
        {sign}
      </Button>
      {open && (
        <Stack spacing={0.5}>
          {now.map((say) => (
            <Typography key={say}>{say}</Typography>
          ))}
          {later !== null && (
            <Typography variant="body2" color="text.secondary">
              {later}
            </Typography>
          )}
        </Stack>
      )}
    </PlainRow>
  );
}

type BreakSheetProps = {
  readonly view: BreakView;
  readonly now: WallClock;
  readonly usualMinutes: number;
  readonly busy: boolean;
  /** The minutes so far are written down; it is not packed up for that. */
  readonly onLog: (minutes: number) => void;
  readonly onClose: () => void;
};

/** A break: two or three lines, when to be back, and the minutes so far in one tap. Nothing is ticked. */
export function BreakSheet({ view, now, usualMinutes, busy, onLog, onClose }: BreakSheetProps) {
  const [minutes, setMinutes] = useState(usualMinutes);
  const { lines, reedDries, meanwhile, instrumentId } = view;
  const back = reedDries && clockTime(Math.round(now.atMinute + reedDries.minutes) % MINUTES_PER_DAY);
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="break-title">
      <DialogTitle id="break-title" variant="h1">
        A break: {view.name}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2.5}>
          <PlainList>
            {lines.map(({ id, say, why, mark }) => (
              <PlainRow key={id}>
                {why === null ? (
                  <Text strong>{say}</Text>
                ) : (
                  <WhyFold lines={[{ rule: id, text: why, mark }]} about={say}>
                    <Text component="span" strong>
                      {say}
                    </Text>
                  </WhyFold>
                )}
              </PlainRow>
            ))}
          </PlainList>
          {back && (
            <WhyFold
              lines={[
                {
                  rule: 'reed-dries',
                  text: `A reed that was wet is taken to have dried in about ${duration(reedDries.minutes)}.`,
                  mark: reedDries.mark,
                },
              ]}
              about="when to be back"
            >
              <Typography component="span">Back by {back}, or wet the reed again.</Typography>
            </WhyFold>
          )}
          <Box>
            <PlayMinutes minutes={minutes} setMinutes={setMinutes} />
            <Row wrap above={1.5}>
              <BrassButton disabled={busy} onClick={() => onLog(minutes)}>
                Log {duration(minutes)} so far
              </BrassButton>
              <Button color="inherit" onClick={onClose}>
                Play on
              </Button>
            </Row>
          </Box>
          {meanwhile.length > 0 && (
            <Box component="section">
              <Text variant="h3" below={0.5}>
                Did something happen?
              </Text>
              <PlainList gap={0}>
                {meanwhile.map((one) => (
                  <Happens key={one.id} one={one} />
                ))}
              </PlainList>
              <Button color="inherit" {...{ component: Link, to: `/faults/${instrumentId}` }}>
                Something else is wrong
              </Button>
            </Box>
          )}
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
