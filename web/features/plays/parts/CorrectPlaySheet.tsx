import { Alert, Button, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { clockTime } from '#core/plays/play-words.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Play } from '#core/plays/play.ts';
import { aloneWords, type AloneId } from '#core/instruments/alone.ts';
import type { AloneView } from '#contract/instruments.ts';
import { AlonePlayed } from '#web/features/plays/parts/AlonePlayed.tsx';
import { PlayMinutes } from '#web/ui/PlayMinutes.tsx';
import { celsiusOf, ROOMS, type Room } from '#web/features/plays/parts/room-choice.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { FORMAT } from '#web/clock/format.ts';
import { Sheet } from '#web/ui/Sheet.tsx';
import { Row } from '#web/ui/layout.tsx';

export type CorrectedPlay = Pick<Play, 'minutes' | 'endedOn' | 'endedAtMinute' | 'roomCelsius' | 'alone'>;

type CorrectPlaySheetProps = {
  readonly play: CorrectedPlay;
  /** The parts of this instrument that are played by themselves. */
  readonly sets: AloneView['sets'];
  readonly today: LocalDate;
  readonly problem: string | null;
  readonly busy: boolean;
  readonly onKeep: (play: CorrectedPlay) => void;
  readonly onClose: () => void;
};

const QUARTER = 15;
const LAST_MINUTE = 1439;

/** What was said of the room stays one of the choices until another is taken. */
type RoomSaid = Room | 'as-said';

/** What was said to be played stays a choice, though it is built otherwise by now. */
const withSaid = (sets: AloneView['sets'], said: AloneId | null): AloneView['sets'] =>
  said === null || sets.some(({ alone }) => alone === said) ? sets : [...sets, { alone: said, name: aloneWords(said) }];

/** A play that was logged wrongly: its minutes, its parts, its end and its room, each put right in taps. */
export function CorrectPlaySheet({ play, sets, today, problem, busy, onKeep, onClose }: CorrectPlaySheetProps) {
  const [minutes, setMinutes] = useState(play.minutes);
  const [endedOn, setEndedOn] = useState<LocalDate | null>(play.endedOn);
  const [alone, setAlone] = useState(play.alone);
  const [endedAtMinute, setEndedAtMinute] = useState(play.endedAtMinute);
  const roomOfPlay = ROOMS.find(({ value }) => celsiusOf(value) === play.roomCelsius)?.value;
  const [room, setRoom] = useState<RoomSaid>(roomOfPlay ?? 'as-said');
  const rooms: readonly { readonly value: RoomSaid; readonly words: string }[] =
    roomOfPlay === undefined
      ? [...ROOMS, { value: 'as-said', words: `As said, ${FORMAT.celsius(play.roomCelsius ?? 0)}` }]
      : ROOMS;
  const move = (by: number) => setEndedAtMinute(Math.min(LAST_MINUTE, Math.max(0, (endedAtMinute ?? 0) + by)));
  const roomCelsius = room === 'as-said' ? play.roomCelsius : celsiusOf(room);
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="correct-title">
      <DialogTitle id="correct-title" variant="h1">
        Correct this play
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2.5}>
          <PlayMinutes minutes={minutes} setMinutes={setMinutes} />
          <AlonePlayed sets={withSaid(sets, play.alone)} value={alone} onChange={setAlone} />
          <DateField label="Which day" value={endedOn} onChange={setEndedOn} latest={today} />
          {endedAtMinute !== null && (
            <Row gap={2} between align="center">
              <Button variant="outlined" color="inherit" onClick={() => move(-QUARTER)}>
                Earlier
              </Button>
              <Typography component="output" aria-live="polite" variant="h2" align="center">
                ended at {clockTime(endedAtMinute)}
              </Typography>
              <Button variant="outlined" color="inherit" onClick={() => move(QUARTER)}>
                Later
              </Button>
            </Row>
          )}
          <ChooseOne label="How was the room, about?" options={rooms} value={room} onChange={setRoom} />
          {problem && <Alert severity="error">{problem}</Alert>}
          <Stack spacing={1}>
            <BrassButton
              disabled={busy || endedOn === null}
              onClick={() => endedOn && onKeep({ minutes, endedOn, endedAtMinute, roomCelsius, alone })}
            >
              Save the correction
            </BrassButton>
            <Button color="inherit" onClick={onClose}>
              Cancel
            </Button>
          </Stack>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
