import { Alert, Button, Checkbox, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { counted, duration } from '#core/explain/format.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { LEAST_PLAY_MINUTES, MOST_PLAY_MINUTES, type WallClock } from '#core/plays/play.ts';
import { MOST_PLAYS_AN_EVENING } from '#contract/plays.ts';
import type { TodayView } from '#contract/today.ts';
import type { Evening } from '#web/features/now/evening.actions.ts';
import { onlyWords } from '#web/features/plays/parts/AlonePlayed.tsx';
import { celsiusOf, ROOMS, type Room } from '#web/features/plays/parts/room-choice.ts';
import { useWhenPlayed, WhenPlayed } from '#web/features/plays/parts/WhenPlayed.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { MinutesAtHand } from '#web/ui/MinutesAtHand.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Figure } from '#web/ui/Figure.tsx';

type Played = TodayView['evening'][number];
type EveningSheetProps = {
  readonly evening: readonly Played[];
  readonly now: WallClock;
  readonly problem: string | null;
  readonly busy: boolean;
  /** `after` null: only logged, not packed up now. */
  readonly onLog: (evening: Evening, after: { readonly minutesAtHand: number | null } | null) => void;
  readonly onClose: () => void;
};

const STEP_MINUTES = 5;
const stepped = (minutes: number, by: number): number =>
  Math.min(MOST_PLAY_MINUTES, Math.max(LEAST_PLAY_MINUTES, minutes + by));

function PlayedRow({
  one: { name, usual, awaitsPackUp, alone },
  minutes,
  chosen,
  onToggle,
  onMinutes,
}: {
  readonly one: Played;
  readonly minutes: number;
  readonly chosen: boolean;
  readonly onToggle: () => void;
  readonly onMinutes: (minutes: number) => void;
}) {
  const step = (by: number, sign: string) => (
    <Button
      variant="outlined"
      color="inherit"
      disabled={!chosen}
      onClick={() => onMinutes(stepped(minutes, by))}
      aria-label={`${name}: ${sign}${STEP_MINUTES} minutes`}
      sx={{ minWidth: 48, minHeight: 48, px: 0 }}
    >
      {sign}
      {STEP_MINUTES}
    </Button>
  );
  return (
    <PlainRow columns="48px minmax(0, 1fr) auto">
      <Checkbox checked={chosen} onChange={onToggle} slotProps={{ input: { 'aria-label': `${name} was played` } }} />
      <Space>
        <Text strong>{name}</Text>
        {(usual || awaitsPackUp || alone) && (
          <Typography variant="body2" color="text.secondary">
            {[
              awaitsPackUp ? 'not packed up yet' : usual && 'usual for today',
              alone && onlyWords(alone.name).toLowerCase(),
            ]
              .filter((one) => typeof one === 'string')
              .join(' · ')}
          </Typography>
        )}
      </Space>
      <Row gap={0.5} align="center">
        {step(-STEP_MINUTES, '−')}
        <Figure width={72}>{duration(minutes)}</Figure>
        {step(STEP_MINUTES, '+')}
      </Row>
    </PlainRow>
  );
}

/** "I have played": an evening on several instruments, the usual ones set and each correctable, nothing to type. */
export function EveningSheet({ evening, now, problem, busy, onLog, onClose }: EveningSheetProps) {
  const [minutesOf, setMinutesOf] = useState<ReadonlyMap<InstrumentId, number>>(
    new Map(evening.map(({ instrumentId, minutes }) => [instrumentId, minutes])),
  );
  const [chosen, setChosen] = useState<ReadonlySet<InstrumentId>>(
    new Set(
      evening
        .filter(({ usual }) => usual)
        .slice(0, MOST_PLAYS_AN_EVENING)
        .map(({ instrumentId }) => instrumentId),
    ),
  );
  const [room, setRoom] = useState<Room>('usual');
  const [minutesAtHand, setMinutesAtHand] = useState<number | null>(null);
  const { endedOn, endedAtMinute, choice } = useWhenPlayed(now);
  const plays = evening.flatMap(({ instrumentId, minutes, alone }) =>
    chosen.has(instrumentId)
      ? [{ instrumentId, minutes: minutesOf.get(instrumentId) ?? minutes, alone: alone?.alone ?? null }]
      : [],
  );
  const entry: Evening = { endedOn: endedOn ?? now.on, endedAtMinute, roomCelsius: celsiusOf(room), plays };
  const toggle = (id: InstrumentId) =>
    setChosen(new Set(chosen.has(id) ? [...chosen].filter((one) => one !== id) : [...chosen, id]));
  const cannot = busy || endedOn === null || plays.length === 0 || plays.length > MOST_PLAYS_AN_EVENING;
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="evening-title">
      <DialogTitle id="evening-title" variant="h1">
        What have you played?
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <PlainList>
            {evening.map((one) => (
              <PlayedRow
                key={one.instrumentId}
                one={one}
                minutes={minutesOf.get(one.instrumentId) ?? one.minutes}
                chosen={chosen.has(one.instrumentId)}
                onToggle={() => toggle(one.instrumentId)}
                onMinutes={(minutes) => setMinutesOf(new Map([...minutesOf, [one.instrumentId, minutes]]))}
              />
            ))}
          </PlainList>
          {problem && <Alert severity="error">{problem}</Alert>}
          <BrassButton autoFocus disabled={cannot} onClick={() => onLog(entry, { minutesAtHand })}>
            {plays.length > 1 ? `Log ${counted(plays.length, 'instrument')} and pack up` : 'Log it and pack up'}
          </BrassButton>
          <Row>
            <Button fullWidth color="inherit" disabled={cannot} onClick={() => onLog(entry, null)}>
              Only log it
            </Button>
            <Button fullWidth color="inherit" onClick={onClose}>
              Not now
            </Button>
          </Row>
          <WhenPlayed choice={choice} />
          <ChooseOne label="How was the room, about?" options={ROOMS} value={room} onChange={setRoom} />
          <MinutesAtHand value={minutesAtHand} onChange={setMinutesAtHand} />
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
