import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import type { RunKind } from '#core/packup/run-log.ts';
import { duration } from '#core/explain/format.ts';
import { RequestProblem } from '#web/api/http.ts';
import { newKey } from '#web/api/new-key.ts';
import { weekdayDate } from '#web/clock/format.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { careQueries } from '#web/features/care/care.queries.ts';
import { useStartRun } from '#web/features/packup/packup.queries.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { useNotice } from '#web/ui/Notice.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { StripHead } from '#web/ui/StripHead.tsx';

/** Packing up one instrument: begins the run, or goes on with the one that is open. */
export function PackUpPage() {
  const { instrumentId = '' } = useParams();
  const query = useQuery(careQueries.page(instrumentId, useToday()));
  const start = useStartRun();
  const notice = useNotice();
  const navigate = useNavigate();
  if (query.error instanceof RequestProblem && query.error.code === 'not-found')
    return (
      <Problem title="Not on this shelf" text="The record holds no such instrument." to="/now" action="See the shelf" />
    );
  return (
    <QueryView query={query} height={480}>
      {({ instrument, openRunKey, awaitsPackUp, lastPlay, strip }) => {
        if (openRunKey !== null) return <Navigate to={`/pack-up/${instrument.id}/${openRunKey}`} replace />;
        const begin = (kind: RunKind) =>
          start.mutate(
            {
              key: newKey(),
              instrumentId,
              playerId: instrument.playerId,
              kind,
              playKey: kind === 'after' && awaitsPackUp ? (lastPlay?.key ?? null) : null,
              itemIds: [],
              now: wallNow(),
            },
            {
              onSuccess: ({ key }) => void navigate(`/pack-up/${instrumentId}/${key}`),
              onError: (error) => notice({ text: error.message, tone: 'failed' }),
            },
          );
        return (
          <Box sx={{ display: 'grid', gap: 2 }}>
            <StripHead title={instrument.name} subtitle={instrument.kindName} segments={strip} />
            <Compartment sx={{ maxWidth: 720 }}>
              <Typography variant="h1" sx={{ mb: 1 }}>
                {awaitsPackUp ? 'Not packed up yet.' : 'Packed up since it was last played.'}
              </Typography>
              <Typography sx={{ mb: 2 }}>
                {lastPlay
                  ? `Last played ${weekdayDate(lastPlay.endedOn)}, ${duration(lastPlay.minutes)}.`
                  : 'Nothing played in this record yet.'}
              </Typography>
              <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
                {awaitsPackUp ? (
                  <BrassButton disabled={start.isPending} onClick={() => begin('after')}>
                    Start packing up
                  </BrassButton>
                ) : (
                  <BrassButton {...{ component: Link, to: `/now/${instrument.id}` }}>
                    I have played: log it first
                  </BrassButton>
                )}
                {!awaitsPackUp && (
                  <Button color="inherit" disabled={start.isPending} onClick={() => begin('after')}>
                    Pack up without a play
                  </Button>
                )}
                <Button color="inherit" disabled={start.isPending} onClick={() => begin('before')}>
                  Make ready to play
                </Button>
              </Box>
            </Compartment>
          </Box>
        );
      }}
    </QueryView>
  );
}
