import { Alert, Button, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { duration, listed } from '#core/explain/format.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { Play } from '#core/plays/play.ts';
import type { HighShare, ReedId } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { AloneView } from '#contract/instruments.ts';
import { AlonePlayed } from '#web/features/plays/parts/AlonePlayed.tsx';
import { PlayMinutes } from '#web/ui/PlayMinutes.tsx';
import { ReedPlayed, UNSAID, type ReedOffered } from '#web/features/plays/parts/ReedPlayed.tsx';
import { useWhenPlayed, WhenPlayed } from '#web/features/plays/parts/WhenPlayed.tsx';
import { celsiusOf, ROOMS, type Room } from '#web/features/plays/parts/room-choice.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { MinutesAtHand } from '#web/ui/MinutesAtHand.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { Row } from '#web/ui/layout.tsx';

export type PlayedEntry = Pick<Play, 'minutes' | 'endedOn' | 'endedAtMinute' | 'roomCelsius' | 'alone'>;
/** On which reed it was, and how much of it lay high; null where nobody says. */
export type ReedEntry = { readonly reedId: ReedId; readonly high: HighShare } | null;

type PlayedSheetProps = {
  readonly instrumentName: string;
  readonly usualMinutes: number;
  /** What of it may have been played by itself, and what usually is for a while. */
  readonly parts: AloneView;
  readonly now: { readonly on: LocalDate; readonly atMinute: number };
  /** Due work that is short enough to come along, by name. */
  readonly along: readonly string[];
  /** The reed for now first, then the next ones; none where it is played without. */
  readonly reeds: readonly ReedOffered[];
  readonly problem: string | null;
  readonly busy: boolean;
  /** `after` null: only logged, not packed up now. */
  readonly onLog: (
    entry: PlayedEntry,
    after: { readonly minutesAtHand: number | null } | null,
    reed: ReedEntry,
  ) => void;
  readonly onClose: () => void;
};

/** "I have just played": minutes and when, in big steps, nothing to type. */
export function PlayedSheet({
  instrumentName,
  usualMinutes,
  parts,
  now,
  along,
  reeds,
  problem,
  busy,
  onLog,
  onClose,
}: PlayedSheetProps) {
  const [minutes, setMinutes] = useState(usualMinutes);
  const [alone, setAlone] = useState<AloneId | null>(parts.usual?.alone ?? null);
  const { endedOn, endedAtMinute, choice } = useWhenPlayed(now);
  const [minutesAtHand, setMinutesAtHand] = useState<number | null>(null);
  const [room, setRoom] = useState<Room>('usual');
  const [chosen, setChosen] = useState<ReedId | typeof UNSAID | null>(null);
  const [high, setHigh] = useState<HighShare>('none');
  const reedId = chosen ?? reeds[0]?.reedId ?? UNSAID;
  const reed: ReedEntry = reedId === UNSAID ? null : { reedId, high };
  const entry: PlayedEntry = {
    minutes,
    endedOn: endedOn ?? now.on,
    endedAtMinute,
    roomCelsius: celsiusOf(room),
    alone,
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="played-title">
      <DialogTitle id="played-title" variant="h1">
        You have played: {instrumentName}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2.5}>
          <PlayMinutes minutes={minutes} setMinutes={setMinutes} />
          <AlonePlayed sets={parts.sets} value={alone} onChange={setAlone} />
          <ReedPlayed reeds={reeds} reedId={reedId} onReed={setChosen} high={high} onHigh={setHigh} />
          <WhenPlayed choice={choice} />
          <ChooseOne label="How was the room, about?" options={ROOMS} value={room} onChange={setRoom} />
          {along.length > 0 && (
            <Typography color="text.secondary">
              Due as well, and in the run: {listed(along.map((name) => name.toLowerCase()))}.
            </Typography>
          )}
          <MinutesAtHand value={minutesAtHand} onChange={setMinutesAtHand} />
          {problem && <Alert severity="error">{problem}</Alert>}
          <Stack spacing={1}>
            <BrassButton
              autoFocus
              disabled={busy || endedOn === null}
              onClick={() => onLog(entry, { minutesAtHand }, reed)}
            >
              Log {duration(minutes)} and pack up
            </BrassButton>
            <Row>
              <Button
                fullWidth
                color="inherit"
                disabled={busy || endedOn === null}
                onClick={() => onLog(entry, null, reed)}
              >
                Only log it
              </Button>
              <Button fullWidth color="inherit" onClick={onClose}>
                Not now
              </Button>
            </Row>
          </Stack>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
