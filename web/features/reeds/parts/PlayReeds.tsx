import { Box, Button, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { duration } from '#core/explain/format.ts';
import type { HighShare, ReedId } from '#core/reeds/reed.ts';
import type { PlayWithReeds, ReedsOfKindView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { useReedPlay } from '#web/features/reeds/reed-play.actions.ts';
import { HIGH } from '#web/features/reeds/parts/high-choice.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';

type PlayReedsProps = {
  readonly of: ReedsOfKindView;
  readonly playing: ReturnType<typeof useReedPlay>;
};

/** What may have been played: who is proposed first, then the rest that is alive. */
function candidates({ first, choices, resting, boxes }: ReedsOfKindView): { reedId: ReedId; name: string }[] {
  const named = [...choices, ...first, ...resting].map(({ reedId, name }) => ({ reedId, name }));
  const known = new Set(named.map(({ reedId }) => reedId));
  const others = boxes.flatMap(({ name, reeds }) =>
    reeds
      .filter(({ reedId, stage }) => stage !== 'retired' && !known.has(reedId))
      .map(({ reedId, number }) => ({
        reedId,
        name: `${name}, reed ${number}`,
      })),
  );
  return [...named, ...others];
}

/** On which reed a play was: one tap; two of them share it evenly, and high work is one more tap. */
function PlaySheet({
  play,
  of,
  playing,
  onClose,
}: PlayReedsProps & { readonly play: PlayWithReeds; readonly onClose: () => void }) {
  const [chosen, setChosen] = useState<readonly ReedId[]>(play.shares.map(({ reedId }) => reedId));
  const [high, setHigh] = useState<HighShare>(play.high ?? 'none');
  const toggle = (reedId: ReedId) =>
    setChosen(chosen.includes(reedId) ? chosen.filter((one) => one !== reedId) : [...chosen, reedId]);
  const each = Math.floor(play.minutes / Math.max(1, chosen.length));
  const say = () => {
    const shares = chosen.map((reedId, index) => ({
      reedId,
      // The first has what is left over.
      minutes: each + (index === 0 ? play.minutes - each * chosen.length : 0),
    }));
    playing.say({ playKey: play.playKey, shares, high, ...(play.saidKey === null ? {} : { corrects: play.saidKey }) });
    onClose();
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="play-reed-title">
      <DialogTitle id="play-reed-title" variant="h1">
        On which reed?
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <Typography color="text.secondary">
            {play.name}, {FORMAT.weekdayDate(play.endedOn)}, {duration(play.minutes)}. Two reeds share it evenly.
          </Typography>
          <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 1 }}>
            {candidates(of).map(({ reedId, name }) => (
              <Button
                key={reedId}
                variant={chosen.includes(reedId) ? 'contained' : 'outlined'}
                color={chosen.includes(reedId) ? 'primary' : 'inherit'}
                aria-pressed={chosen.includes(reedId)}
                onClick={() => toggle(reedId)}
              >
                {name}
              </Button>
            ))}
          </Box>
          <ChooseOne label="How high was it?" options={HIGH} value={high} onChange={setHigh} />
          <Button variant="outlined" color="inherit" disabled={playing.busy || chosen.length === 0} onClick={say}>
            {chosen.length > 1 ? `Log it on ${chosen.length} reeds` : 'Log it on this reed'}
          </Button>
          <Button color="inherit" onClick={onClose}>
            Not now
          </Button>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}

/** The last plays with their reeds: said by one tap, or put right. */
export function PlayReeds({ of, playing }: PlayReedsProps) {
  const [open, setOpen] = useState<PlayWithReeds | null>(null);
  if (of.plays.length === 0) return <Typography>Nothing played in this record yet.</Typography>;
  return (
    <>
      <PlainList>
        {of.plays.map((play) => {
          const { playKey, endedOn, minutes, shares } = play;
          const reeds = shares.map(({ name }) => name).join(' and ');
          return (
            <PlainRow
              key={playKey}
              sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 1, py: 0.5 }}
            >
              <Box sx={{ minWidth: 0 }}>
                <Typography>
                  {FORMAT.weekdayDate(endedOn)}, {duration(minutes)}
                </Typography>
                <Typography variant="body2" color="text.secondary" sx={{ overflowWrap: 'anywhere' }}>
                  {reeds || 'no reed said'}
                </Typography>
              </Box>
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
      {open && <PlaySheet play={open} of={of} playing={playing} onClose={() => setOpen(null)} />}
    </>
  );
}
