import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { wallNow } from '#web/clock/today.ts';
import { OneOrAll, type Shown } from '#web/features/calendar/parts/OneOrAll.tsx';
import { WeekRibbon } from '#web/features/calendar/parts/WeekRibbon.tsx';
import { sittingQueries } from '#web/features/calendar/sittings.queries.ts';
import type { useSittingMoves } from '#web/features/calendar/use-sitting-moves.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';

const [EverybodysRibbon] = lazyPart(
  async () => (await import('#web/features/calendar/compartments/EverybodysRibbon.tsx')).EverybodysRibbon,
);

type SixWeeksProps = {
  readonly view: SittingsView;
  readonly playerId: PlayerId;
  /** The instrument chosen on the shelf, where it is the player's. */
  readonly chosen: InstrumentId | null;
  readonly moves: ReturnType<typeof useSittingMoves>;
};

/** The ribbon of the player's own weeks, of one instrument in them, or of everybody's. */
export function SixWeeks({ view, playerId, chosen, moves: { moving, move, open } }: SixWeeksProps) {
  const [shown, setShown] = useState<Shown>(() => ({ kind: 'mine', only: chosen }));
  const reeds = useQuery(sittingQueries.reedDays(playerId, wallNow()));
  return (
    <Compartment
      title="Six weeks"
      aside={<OneOrAll instruments={view.instruments} shown={shown} onChange={setShown} />}
    >
      {shown.kind === 'everybody' ? (
        <EverybodysRibbon today={view.today} />
      ) : (
        <WeekRibbon
          view={view}
          reeds={reeds.data}
          only={shown.only}
          moving={moving}
          onMove={(uid, to) => move(view.sittings.find((one) => one.uid === uid)?.items ?? [], to, uid)}
          onOpen={open}
        />
      )}
    </Compartment>
  );
}
