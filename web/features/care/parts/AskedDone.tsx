import { useEffect } from 'react';
import type { InstrumentView } from '#contract/instruments.ts';
import { useToday } from '#web/clock/today.ts';
import type { useCareActions } from '#web/features/care/care.actions.ts';
import { lazyPart } from '#web/ui/lazy-part.tsx';

const [DoneDialog, fetchDone] = lazyPart(
  async () => (await import('#web/features/care/parts/DoneDialog.tsx')).DoneDialog,
);

type AskedDoneProps = {
  readonly care: Pick<ReturnType<typeof useCareActions>, 'asked' | 'ask' | 'done' | 'problem' | 'busy'>;
  readonly instrument: Pick<InstrumentView, 'acquiredOn'>;
};

/** Asks when something was done, once somebody says that it was. */
export function AskedDone({ care: { asked, ask, done, problem, busy }, instrument: { acquiredOn } }: AskedDoneProps) {
  const today = useToday();
  useEffect(() => {
    // It is a tap away: it is there before the finger is.
    void Promise.allSettled([fetchDone()]);
  }, []);
  if (!asked) return null;
  return (
    <DoneDialog
      clock={asked}
      today={today}
      acquiredOn={acquiredOn}
      problem={problem}
      busy={busy}
      onDone={done}
      onClose={() => ask(null)}
    />
  );
}
