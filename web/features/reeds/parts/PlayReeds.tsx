import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import { duration } from '#core/explain/format.ts';
import { reedsTogether } from '#core/reeds/reed-words.ts';
import type { PlayWithReeds, ReedsOfKindView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';
import { PlayReedSheet } from '#web/features/reeds/parts/PlayReedSheet.tsx';
import type { useReedPlay } from '#web/features/reeds/reed-play.actions.ts';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Space } from '#web/ui/layout.tsx';

type PlayReedsProps = {
  readonly of: ReedsOfKindView;
  readonly playing: ReturnType<typeof useReedPlay>;
};

/** The last plays with their reeds: said by one tap, or put right. */
export function PlayReeds({ of, playing }: PlayReedsProps) {
  const [open, setOpen] = useState<PlayWithReeds | null>(null);
  if (of.plays.length === 0) return <Typography>Nothing played in this record yet.</Typography>;
  return (
    <>
      <PlainList>
        {of.plays.map((play) => {
          const { playKey, endedOn, minutes, shares } = play;
          const reeds = reedsTogether(shares.map(({ name }) => name));
          return (
            <PlainRow key={playKey} between>
              <Space>
                <Typography>
                  {FORMAT.weekdayDate(endedOn)}, {duration(minutes)}
                </Typography>
                <Typography variant="body2" color="text.secondary">
                  {reeds || 'no reed said'}
                </Typography>
              </Space>
              <Button
                color="inherit"
                variant={reeds ? 'text' : 'outlined'}
                onClick={() => setOpen(play)}
                aria-label={`${reeds ? 'Change' : 'Say the reed'}: ${FORMAT.weekdayDate(endedOn)}, ${duration(minutes)}`}
              >
                {reeds ? 'Change' : 'Say the reed'}
              </Button>
            </PlainRow>
          );
        })}
      </PlainList>
      {open && <PlayReedSheet play={open} of={of} playing={playing} onClose={() => setOpen(null)} />}
    </>
  );
}
