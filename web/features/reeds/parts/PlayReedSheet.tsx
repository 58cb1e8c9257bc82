import { Button, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { duration } from '#core/explain/format.ts';
import type { HighShare, ReedId } from '#core/reeds/reed.ts';
import type { PlayWithReeds, ReedsOfKindView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { useReedPlay } from '#web/features/reeds/reed-play.actions.ts';
import { HIGH } from '#web/features/reeds/parts/high-choice.ts';
import { sharesOf } from '#web/features/reeds/parts/shares-of.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { Grid, Grow, Row } from '#web/ui/layout.tsx';
import { Figure } from '#web/ui/Figure.tsx';

type Candidate = { readonly reedId: ReedId; readonly name: string; readonly isNew: boolean };

/** What may have been played: who is proposed first, then the rest that is alive, those not opened yet last. */
function candidates({ first, choices, resting, boxes }: ReedsOfKindView): Candidate[] {
  const named = [...choices, ...first, ...resting].map(({ reedId, name }) => ({ reedId, name, isNew: false }));
  const known = new Set(named.map(({ reedId }) => reedId));
  const others = boxes.flatMap(({ name, reeds }) =>
    reeds
      .filter(({ reedId, stage }) => stage !== 'retired' && !known.has(reedId))
      .map(({ reedId, number, stage }) => ({ reedId, name: `${name}, reed ${number}`, isNew: stage === 'new' })),
  );
  return [...named, ...others.filter(({ isNew }) => !isNew), ...others.filter(({ isNew }) => isNew)];
}

const STEP = 5;

type SharesProps = {
  readonly shares: readonly { readonly reedId: ReedId; readonly minutes: number }[];
  readonly nameOf: (reedId: ReedId) => string;
  readonly onSay: (reedId: ReedId, minutes: number) => void;
};

/** How the minutes of a play fall to its reeds, in steps of five; the last takes what is left. */
function Shares({ shares, nameOf, onSay }: SharesProps) {
  return (
    <Stack spacing={1}>
      {shares.map(({ reedId, minutes }, index) => (
        <Row key={reedId} align="center">
          <Grow basis={1}>
            <Typography>{nameOf(reedId)}</Typography>
          </Grow>
          {index < shares.length - 1 && (
            <Button
              variant="outlined"
              color="inherit"
              aria-label={`Less on ${nameOf(reedId)}`}
              onClick={() => onSay(reedId, Math.max(1, minutes - STEP))}
              sx={{ minWidth: 52 }}
            >
              −{STEP}
            </Button>
          )}
          <Figure aria-live="polite" width={84}>
            {duration(minutes)}
          </Figure>
          {index < shares.length - 1 && (
            <Button
              variant="outlined"
              color="inherit"
              aria-label={`More on ${nameOf(reedId)}`}
              onClick={() => onSay(reedId, minutes === 1 ? STEP : minutes + STEP)}
              sx={{ minWidth: 52 }}
            >
              +{STEP}
            </Button>
          )}
        </Row>
      ))}
    </Stack>
  );
}

type PlayReedSheetProps = {
  readonly play: PlayWithReeds;
  readonly of: ReedsOfKindView;
  readonly playing: ReturnType<typeof useReedPlay>;
  readonly onClose: () => void;
};

/** On which reed a play was: one tap; several share it, and high work is one more tap. */
export function PlayReedSheet({ play, of, playing, onClose }: PlayReedSheetProps) {
  const [chosen, setChosen] = useState<readonly ReedId[]>(play.shares.map(({ reedId }) => reedId));
  const [opening, setOpening] = useState(false);
  const [high, setHigh] = useState<HighShare>(play.high ?? 'none');
  const toggle = (reedId: ReedId) =>
    setChosen(chosen.includes(reedId) ? chosen.filter((one) => one !== reedId) : [...chosen, reedId]);
  const [minutesOf, setSaid] = useState<Readonly<Record<string, number>>>(
    Object.fromEntries(play.shares.map(({ reedId, minutes }) => [reedId, Math.round(minutes)])),
  );
  const all = candidates(of);
  const shown = all.filter(({ reedId, isNew }) => opening || !isNew || chosen.includes(reedId));
  const shares = sharesOf(chosen, minutesOf, play.minutes);
  const say = () => {
    playing.say({ playKey: play.playKey, shares, high }, play.saidKey ?? undefined);
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
            {play.name}, {FORMAT.weekdayDate(play.endedOn)}, {duration(play.minutes)}. Tap two reeds if both were
            played.
          </Typography>
          <Grid columns={{ xs: '1fr', sm: '1fr 1fr' }}>
            {shown.map(({ reedId, name }) => (
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
          </Grid>
          {!opening && shown.length < all.length && (
            <Button color="inherit" onClick={() => setOpening(true)}>
              It was a new reed
            </Button>
          )}
          {shares.length > 1 && (
            <Shares
              shares={shares}
              nameOf={(id) => all.find(({ reedId }) => reedId === id)?.name ?? 'A reed'}
              onSay={(reedId, minutes) => setSaid({ ...minutesOf, [reedId]: minutes })}
            />
          )}
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
