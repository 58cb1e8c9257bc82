import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { CASED_DAMP, type CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { ShelfPlace } from '#contract/instruments.ts';
import type { TodayLineView, TodayView } from '#contract/today.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { useEvening, type Along } from '#web/features/now/evening.actions.ts';
import { NowOf } from '#web/features/now/NowPage.tsx';
import { TodayLines } from '#web/features/now/parts/TodayLines.tsx';
import { todayQueries } from '#web/features/now/today.queries.ts';
import { CurrentPlayer } from '#web/features/players/parts/CurrentPlayer.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { EveningSheet } from '#web/features/plays/parts/EveningSheet.tsx';
import { ReedsToday } from '#web/features/reeds/parts/ReedsToday.tsx';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { NextStep } from '#web/features/now/parts/NextStep.tsx';
import { Others } from '#web/features/now/parts/QuietLines.tsx';
import { NextWeeksWhenSeen } from '#web/features/now/compartments/NextWeeksWhenSeen.tsx';
import { Grid, Grow, Row, Space } from '#web/ui/layout.tsx';

/** Work that is due and short enough to come along when an instrument is packed up. */
const alongOf = (lines: readonly TodayLineView[]): Along => {
  const along = new Map<InstrumentId, readonly CareItemId[]>();
  for (const { instrumentId, clock } of lines)
    if (clock?.goesAlong) along.set(instrumentId, [...(along.get(instrumentId) ?? []), clock.itemId]);
  return along;
};

/** About what the reeds of so many kinds take, px: so much room is kept for them where they come first. */
const reedsTake = (kinds: number) => ({ xs: 100 + 92 * kinds, sm: 95 + 52 * kinds });

type LoadedProps = {
  readonly view: TodayView;
  readonly playerId: PlayerId;
  readonly others: readonly ShelfPlace[];
};

function Loaded({ view, playerId, others }: LoadedProps) {
  const { lines, evening } = view;
  const today = useToday();
  const [sheet, setSheet] = useState(false);
  const evenings = useEvening(playerId);
  // Below the list: it comes when it comes. What stands below it waits for it, so that nothing moves.
  const reeds = useQuery(reedQueries.of(playerId, wallNow()));
  const kinds = reeds.data?.kinds ?? [];
  const hasReeds = kinds.some(({ boxes }) => boxes.length > 0);
  const concertSoon = view.reedsFirst;
  const forTheConcert = hasReeds ? kinds.filter(({ kind }) => concertSoon.includes(kind)) : [];
  const along = alongOf(lines);
  const packUpOne = ({ instrumentId, playerId: owner }: TodayLineView) =>
    evenings.begin({
      kind: 'after',
      playerId: owner,
      parts: [{ instrumentId, itemIds: [...(along.get(instrumentId) ?? [])] }],
    });
  const doItem = ({ instrumentId, playerId: owner, clock }: TodayLineView) =>
    clock && evenings.begin({ kind: 'care', playerId: owner, parts: [{ instrumentId, itemIds: [clock.itemId] }] });
  const lookOver = ({ instrumentId, playerId: owner, itemIds }: TodayLineView) =>
    evenings.begin({ kind: 'care', playerId: owner, parts: [{ instrumentId, itemIds: [...itemIds] }] });
  const layOut = ({ instrumentId, playerId: owner }: TodayLineView) =>
    evenings.begin({ kind: 'care', playerId: owner, parts: [{ instrumentId, itemIds: [CASED_DAMP] }] });
  return (
    <Grid gap={2} width={820}>
      <Row gap={1.5} wrap align="center">
        <Grow basis="1 1 200px">
          <Typography variant="h1">Today</Typography>
          <Typography color="text.secondary">{FORMAT.weekdayDate(today)}</Typography>
        </Grow>
        <Box sx={{ display: 'flex', gap: 1.5, flex: { xs: '1 1 100%', sm: '0 0 auto' }, '& > *': { flexGrow: 1 } }}>
          <NextStep
            lines={lines}
            busy={evenings.busy}
            onPlayed={() => {
              evenings.open();
              setSheet(true);
            }}
            onLayOut={layOut}
            onPackUp={(wet) =>
              evenings.packUp(
                wet.map(({ instrumentId }) => instrumentId),
                along,
              )
            }
          />
        </Box>
      </Row>
      {concertSoon.length > 0 && reeds.isLoading && <Space height={reedsTake(concertSoon.length)} />}
      {forTheConcert.length > 0 && (
        <Compartment title="Reeds for the concert">
          <ReedsToday kinds={forTheConcert} onlyConcert />
        </Compartment>
      )}
      <TodayLines
        view={view}
        busy={evenings.busy}
        onPackUp={packUpOne}
        onDo={doItem}
        onLayOut={layOut}
        onLookOver={lookOver}
      />
      <Others places={others} />
      {hasReeds && (
        <Compartment title="Reeds today">
          <ReedsToday kinds={kinds} saidAbove={concertSoon} />
        </Compartment>
      )}
      {!reeds.isLoading && <NextWeeksWhenSeen playerId={playerId} />}
      {sheet && (
        <EveningSheet
          evening={evening}
          now={wallNow()}
          problem={evenings.problem}
          busy={evenings.busy}
          onClose={() => setSheet(false)}
          onLog={(entry, after) => evenings.log(entry, after, along, () => setSheet(false))}
        />
      )}
    </Grid>
  );
}

const EMPTY_SHELF = (
  <Problem
    title="An empty shelf"
    text="Ulu tells you what to do when you have played, and when the rest is due. Put your first instrument on the shelf; it takes less than a minute."
    to="/add"
    action="Add an instrument"
  />
);

function TodayOf({ playerId, places }: { readonly playerId: PlayerId; readonly places: readonly ShelfPlace[] }) {
  useToday();
  const query = useQuery(todayQueries.of(playerId, wallNow()));
  return (
    <QueryView query={query} height={520}>
      {(view) => {
        const listedIds = new Set(
          [...view.lines, ...view.fine, ...view.unknown].map(({ instrumentId }) => instrumentId),
        );
        const others = places.filter(({ id }) => !listedIds.has(id));
        const [only] = listedIds;
        // With one instrument the day is that instrument's Now.
        if (view.instruments === 1 && only !== undefined) return <NowOf instrumentId={only} />;
        return <Loaded view={view} playerId={playerId} others={others} />;
      }}
    </QueryView>
  );
}

/** Today: one list over all instruments of the player and of whom they look after, with one thing to do first. */
export function TodayPage() {
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  const players = useQuery(playerQueries.list());
  return (
    <QueryView query={shelf} height={520}>
      {(places) => (
        <CurrentPlayer players={players} height={520}>
          {(player) =>
            places.length === 0 || player === undefined ? (
              EMPTY_SHELF
            ) : (
              <TodayOf key={player.id} playerId={player.id} places={places} />
            )
          }
        </CurrentPlayer>
      )}
    </QueryView>
  );
}
