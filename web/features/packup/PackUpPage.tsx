import { Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, Navigate } from 'react-router';
import { CASED_DAMP } from '#core/book/care-ids.ts';
import { duration } from '#core/explain/format.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { instrumentPageQueries } from '#web/record/instrument-page.queries.ts';
import { CasedDamp } from '#web/features/packup/parts/CasedDamp.tsx';
import { useBeginRun } from '#web/record/begin-run.actions.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { MinutesAtHand } from '#web/ui/MinutesAtHand.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { StripHead } from '#web/ui/StripHead.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

/** Packing up one instrument: begins the run, or goes on with the one that is open. */
export function PackUpPage() {
  const instrumentId = useInstrumentId();
  const query = useQuery(instrumentPageQueries.of(instrumentId, useToday()));
  const { begin, busy } = useBeginRun();
  const [minutesAtHand, setMinutesAtHand] = useState<number | null>(null);
  return (
    <QueryView query={query} height={480} missing={NOT_ON_THIS_SHELF}>
      {({ instrument, openRunKey, awaitsPackUp, lastPlay, strip, damp }) => {
        if (openRunKey !== null) return <Navigate to={`/pack-up/${instrument.id}/${openRunKey}`} replace />;
        const playKey = awaitsPackUp ? (lastPlay?.key ?? null) : null;
        const packUp = () =>
          begin({ kind: 'after', playerId: instrument.playerId, parts: [{ instrumentId, playKey }], minutesAtHand });
        const layOut = () =>
          begin({ kind: 'care', playerId: instrument.playerId, parts: [{ instrumentId, itemIds: [CASED_DAMP] }] });
        const makeReady = () => begin({ kind: 'before', playerId: instrument.playerId, parts: [{ instrumentId }] });
        return (
          <Grid gap={2}>
            <StripHead title={instrument.name} subtitle={instrument.kindName} segments={strip} />
            <Grid columns="minmax(0, 720px)">
              <Compartment>
                {damp && <CasedDamp damp={damp} busy={busy} onLayOut={layOut} />}
                <Text variant={damp ? 'h3' : 'h1'} component="p" above={damp ? 2 : 0} below={1}>
                  {awaitsPackUp
                    ? 'Not packed up yet.'
                    : damp
                      ? 'Packed up on the way after it was last played.'
                      : 'Packed up since it was last played.'}
                </Text>
                <Text below={2}>
                  {lastPlay
                    ? `Last played ${FORMAT.weekdayDate(lastPlay.endedOn)}, ${duration(lastPlay.minutes)}.`
                    : 'Nothing played in this record yet.'}
                </Text>
                {awaitsPackUp && (
                  <Space below={2}>
                    <MinutesAtHand value={minutesAtHand} onChange={setMinutesAtHand} />
                  </Space>
                )}
                <Row gap={1.5} wrap align="center">
                  {awaitsPackUp ? (
                    <BrassButton disabled={busy} onClick={packUp}>
                      Start packing up
                    </BrassButton>
                  ) : (
                    <BrassButton leads={damp === null} {...{ component: Link, to: `/now/${instrument.id}` }}>
                      I have played: log it first
                    </BrassButton>
                  )}
                  {!awaitsPackUp && (
                    <Button color="inherit" disabled={busy} onClick={packUp}>
                      Pack up without a play
                    </Button>
                  )}
                  <Button color="inherit" disabled={busy} onClick={makeReady}>
                    Make ready to play
                  </Button>
                </Row>
              </Compartment>
            </Grid>
          </Grid>
        );
      }}
    </QueryView>
  );
}
