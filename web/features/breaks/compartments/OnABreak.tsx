import { useQuery } from '@tanstack/react-query';
import { breakQueries } from '#web/features/breaks/breaks.queries.ts';
import { BreakSheet } from '#web/features/breaks/parts/BreakSheet.tsx';
import type { InstrumentPage } from '#contract/care.ts';
import { useToday, wallNow } from '#web/clock/today.ts';

/** A break of one instrument. It comes with its first tap. */
export function OnABreak({
  page: { instrument, week },
  busy,
  onLog,
  onClose,
}: {
  readonly page: InstrumentPage;
  readonly busy: boolean;
  readonly onLog: (minutes: number) => void;
  readonly onClose: () => void;
}) {
  const view = useQuery(breakQueries.of(instrument.id, useToday()));
  if (view.data === undefined) return null;
  return (
    <BreakSheet
      view={view.data}
      now={wallNow()}
      usualMinutes={week.usualPlayMinutes}
      busy={busy}
      onLog={onLog}
      onClose={onClose}
    />
  );
}
