import { Box, Button, Link as MuiLink, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { counted, listed } from '#core/explain/format.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { ShelfPlace } from '#contract/instruments.ts';
import type { TodayLineView, TodayView } from '#contract/today.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { useEvening, type Along } from '#web/features/now/evening.actions.ts';
import { NowOf } from '#web/features/now/NowPage.tsx';
import { TodayRow } from '#web/features/now/parts/TodayRow.tsx';
import { todayQueries } from '#web/features/now/today.queries.ts';
import { CurrentPlayer } from '#web/features/players/parts/CurrentPlayer.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { EveningSheet } from '#web/features/plays/parts/EveningSheet.tsx';
import { ReedsToday } from '#web/features/reeds/parts/ReedsToday.tsx';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { useSeen } from '#web/ui/use-seen.ts';
import { QueryView } from '#web/ui/QueryView.tsx';

/** Due lines shown at once; the rest is a tap away under Care. */
const DUE_SHOWN = 6;
const NAMED_IN_A_LINE = 6;

/** Work that is due and short enough to come along when an instrument is packed up. */
const alongOf = (lines: readonly TodayLineView[]): Along => {
  const along = new Map<InstrumentId, readonly CareItemId[]>();
  for (const { instrumentId, clock } of lines)
    if (clock?.withPackUp && ['due', 'overdue'].includes(clock.gauge.state) && clock.hands !== 'bench')
      along.set(instrumentId, [...(along.get(instrumentId) ?? []), clock.itemId]);
  return along;
};

/** The one yellow button: the run under way, what stands wet, or what was just played. */
function NextStep({
  lines,
  busy,
  onPlayed,
  onPackUp,
}: {
  readonly lines: readonly TodayLineView[];
  readonly busy: boolean;
  readonly onPlayed: () => void;
  readonly onPackUp: (wet: readonly TodayLineView[]) => void;
}) {
  const own = lines.filter(({ ownerName }) => ownerName === null);
  const run = own.find(({ what }) => what === 'run');
  const wet = own.filter(({ what }) => what === 'wet');
  const played = (
    <Button variant="outlined" color="inherit" onClick={onPlayed} sx={{ minHeight: 56 }}>
      I have played
    </Button>
  );
  if (run)
    return (
      <>
        <BrassButton {...{ component: Link, to: `/pack-up/${run.instrumentId}/${run.runKey ?? ''}` }}>
          Go on: {run.name}
        </BrassButton>
        {played}
      </>
    );
  if (wet.length > 0)
    return (
      <>
        <BrassButton disabled={busy} onClick={() => onPackUp(wet)}>
          {wet.length === 1 ? `Pack up: ${wet[0]?.name ?? ''}` : `Pack up ${counted(wet.length, 'instrument')}`}
        </BrassButton>
        {played}
      </>
    );
  return <BrassButton onClick={onPlayed}>I have played</BrassButton>;
}

/** Instruments of others, by name: one tap away, and out of the way. */
function Others({ places }: { readonly places: readonly ShelfPlace[] }) {
  const [open, setOpen] = useState(false);
  if (places.length === 0) return null;
  return (
    <Box>
      <Button color="inherit" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide' : 'Show'} the instruments of others ({places.length})
      </Button>
      {open && (
        <PlainList sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
          {places.map(({ id, name, kindName }) => (
            <li key={id}>
              <Button variant="outlined" color="inherit" {...{ component: Link, to: `/now/${id}` }}>
                {name}
                {name === kindName ? '' : ` · ${kindName}`}
              </Button>
            </li>
          ))}
        </PlainList>
      )}
    </Box>
  );
}

/** Names in one quiet line; many are only counted. */
function QuietLine({ of, children }: { readonly of: TodayView['fine']; readonly children: string }) {
  if (of.length === 0) return null;
  const names = of.map(({ name, ownerName }) =>
    ownerName === null ? name : `${ownerName.split(' ')[0] ?? ownerName}’s ${name}`,
  );
  return (
    <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
      {children}: {names.length > NAMED_IN_A_LINE ? counted(names.length, 'instrument') : listed(names)}.
    </Typography>
  );
}

type LoadedProps = {
  readonly view: TodayView;
  readonly playerId: PlayerId;
  readonly others: readonly ShelfPlace[];
};

const [NextWeeks] = lazyPart(async () => (await import('#web/features/now/NextWeeks.tsx')).NextWeeks);

/** The next sitting: work for the server, begun when somebody scrolls to it. */
function WhenSeen({ playerId }: { readonly playerId: PlayerId }) {
  const [ref, isSeen] = useSeen();
  return (
    <Box ref={ref} sx={{ minHeight: 96 }}>
      {isSeen && <NextWeeks playerId={playerId} />}
    </Box>
  );
}

function Loaded({ view: { lines, fine, unknown, away, evening }, playerId, others }: LoadedProps) {
  const today = useToday();
  const [sheet, setSheet] = useState(false);
  const said = useEvening(playerId);
  // Below the list: it comes when it comes. What stands below it waits for it, so that nothing moves.
  const reeds = useQuery(reedQueries.of(playerId, wallNow()));
  const along = alongOf(lines);
  const due = lines.filter(({ what }) => what === 'due');
  const shown = [...lines.filter(({ what }) => what !== 'due'), ...due.slice(0, DUE_SHOWN)];
  const packUpOne = ({ instrumentId, playerId: owner }: TodayLineView) =>
    said.begin({
      kind: 'after',
      playerId: owner,
      parts: [{ instrumentId, itemIds: [...(along.get(instrumentId) ?? [])] }],
    });
  const doItem = ({ instrumentId, playerId: owner, clock }: TodayLineView) =>
    clock && said.begin({ kind: 'care', playerId: owner, parts: [{ instrumentId, itemIds: [clock.itemId] }] });
  return (
    <Box sx={{ maxWidth: 820, mx: 'auto', display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <Box sx={{ flex: '1 1 200px' }}>
          <Typography variant="h1">Today</Typography>
          <Typography color="text.secondary">{FORMAT.weekdayDate(today)}</Typography>
        </Box>
        <Box sx={{ display: 'flex', gap: 1.5, flex: { xs: '1 1 100%', sm: '0 0 auto' }, '& > *': { flexGrow: 1 } }}>
          <NextStep
            lines={lines}
            busy={said.busy}
            onPlayed={() => {
              said.open();
              setSheet(true);
            }}
            onPackUp={(wet) =>
              said.packUp(
                wet.map(({ instrumentId }) => instrumentId),
                along,
              )
            }
          />
        </Box>
      </Box>
      <Compartment>
        {shown.length === 0 && (
          <Typography>
            {unknown.length === 0
              ? 'Nothing stands wet and nothing is due.'
              : 'Nothing stands wet, and nothing is known to be due.'}
          </Typography>
        )}
        <PlainList>
          {shown.map((line) => (
            <TodayRow
              key={`${line.what} ${line.instrumentId} ${line.clock?.itemId ?? ''}`}
              line={line}
              busy={said.busy}
              onPackUp={packUpOne}
              onDo={doItem}
            />
          ))}
        </PlainList>
        {due.length > DUE_SHOWN && (
          <MuiLink component={Link} to="/care" color="inherit" sx={{ display: 'inline-block', py: 1.25 }}>
            {counted(due.length - DUE_SHOWN, 'more thing')} due, under Care
          </MuiLink>
        )}
        <QuietLine of={fine}>Nothing to do</QuietLine>
        <QuietLine of={unknown}>Not known when some of their care was last done</QuietLine>
        <QuietLine of={away}>At the bench</QuietLine>
      </Compartment>
      <Others places={others} />
      {reeds.data && reeds.data.kinds.some(({ boxes }) => boxes.length > 0) && (
        <Compartment title="Reeds today">
          <ReedsToday kinds={reeds.data.kinds} />
        </Compartment>
      )}
      {!reeds.isLoading && <WhenSeen playerId={playerId} />}
      {sheet && (
        <EveningSheet
          evening={evening}
          now={wallNow()}
          problem={said.problem}
          busy={said.busy}
          onClose={() => setSheet(false)}
          onLog={(entry, after) => said.log(entry, after, along, () => setSheet(false))}
        />
      )}
    </Box>
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
