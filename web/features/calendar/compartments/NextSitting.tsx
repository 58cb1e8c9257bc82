import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import { clockTime } from '#core/plays/play-words.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { PlacedItems, placedWhy, type Sitting } from '#web/features/calendar/parts/SittingDays.tsx';
import { nearDay } from '#web/features/calendar/parts/near-day.ts';
import { SittingTimes } from '#web/features/calendar/parts/SittingTimes.tsx';
import { useSittingTime } from '#web/features/calendar/sittings.actions.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type NextSittingProps = {
  readonly view: SittingsView;
  readonly busy: boolean;
  readonly onStart: (sitting: Sitting) => void;
};

/** What to do next, and when: the first sitting of the plan. */
export function NextSitting({ view, busy, onStart }: NextSittingProps) {
  const { sittings, today, words, because, said } = view;
  const [isAsking, setIsAsking] = useState(false);
  const time = useSittingTime();
  const [next] = sittings;
  return (
    <Compartment>
      {next ? (
        <>
          <Typography color="text.secondary">Next sitting</Typography>
          <Typography variant="h1">
            {nearDay(next.on, today)}
            {next.atMinute === null ? '' : ` at ${clockTime(next.atMinute)}`}, {next.words}
          </Typography>
          <Space above={1} below={1}>
            <PlacedItems items={next.items} />
          </Space>
          <WhyFold lines={placedWhy(next.items)} about="the next sitting" />
          <Space above={1} below={1}>
            <BrassButton disabled={busy} onClick={() => onStart(next)}>
              {next.on === today ? 'Start it' : 'Do it now instead'}
            </BrassButton>
          </Space>
        </>
      ) : (
        <Text variant="h1" below={1}>
          No sitting in six weeks.
        </Text>
      )}
      <Space above={1}>
        <WhyFold lines={because} about="the plan of six weeks">
          <Typography component="span">{words}</Typography>
        </WhyFold>
      </Space>
      <Text variant="body2" color="text.secondary" above={1}>
        {said === null
          ? 'Ulu takes a quarter of an hour on weekdays and an hour at the weekend, until you say when you have time.'
          : 'Planned within the time you have said you have.'}
      </Text>
      <Button
        color="inherit"
        onClick={() => {
          time.open();
          setIsAsking(true);
        }}
      >
        When have you time?
      </Button>
      {isAsking && <SittingTimes view={view} time={time} onClose={() => setIsAsking(false)} />}
    </Compartment>
  );
}
