import { useState } from 'react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { PlacedItemView, SittingsView } from '#contract/sittings.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { MovingSitting } from '#web/features/calendar/parts/ribbon-lanes.ts';
import { useSittingMove } from '#web/features/calendar/sittings.actions.ts';

/** The sitting that is opened, and moving it: what is set is said with the way to take it back. */
export function useSittingMoves(view: SittingsView, playerId: PlayerId) {
  const [uid, setUid] = useState<string | null>(null);
  const [moving, setMoving] = useState<(MovingSitting & { readonly from: SittingsView }) | null>(null);
  const { log, busy } = useSittingMove();
  return {
    busy,
    /** Drawn where it was put until the plan says so itself. */
    moving: moving?.from === view ? moving : null,
    opened: view.sittings.find((one) => one.uid === uid) ?? null,
    open: setUid,
    close: () => setUid(null),
    move: (items: readonly PlacedItemView[], on: LocalDate | null, moved?: string) => {
      if (items.length === 0) return;
      if (on !== null && moved !== undefined) setMoving({ uid: moved, day: daysBetween(view.today, on), from: view });
      const times = items.map(({ instrumentId, itemId, dueOn }) => ({ instrumentId, itemId, dueOn }));
      const notice = on === null ? 'Ulu plans it again.' : `It is set for ${FORMAT.weekdayDate(on)}.`;
      log({ playerId, times, on }, { said: notice });
    },
  };
}
