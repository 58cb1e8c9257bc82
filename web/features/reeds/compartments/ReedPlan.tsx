import { Box, LinearProgress, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { duration } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { addDays } from '#core/time/local-date.ts';
import type { ReedPlanView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';
import { wallNow } from '#web/clock/today.ts';
import { ReedRows } from '#web/features/reeds/parts/ReedRows.tsx';
import type { Session } from '#web/features/reeds/parts/reed-rows-grid.ts';
import { SessionSheet } from '#web/features/reeds/parts/SessionSheet.tsx';
import { useReedSessions } from '#web/features/reeds/reeds.actions.ts';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { sameCell, type Cell } from '#web/ui/use-moves.ts';
import { useSeen } from '#web/ui/use-seen.ts';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type ReedPlanProps = { readonly kind: KindId; readonly playerId: PlayerId };

/** While a plan becomes better it is asked for again. */
const ASK_AGAIN_MS = 3000;

/** Sets a session elsewhere, and says so with the way to take it back. */
function useSetting(plan: ReedPlanView, playerId: PlayerId) {
  const { log, busy } = useReedSessions();
  const nameOf = (row: number): string => `${plan.rows[row]?.boxName ?? ''}, reed ${plan.rows[row]?.number ?? ''}`;
  const pinOf = ({ row, day }: Cell, minutes: number | null) => {
    const reedId = plan.rows[row]?.reedId;
    return reedId === undefined ? [] : [{ reedId, on: addDays(plan.today, day), minutes }];
  };
  const dayOf = ({ day }: Cell): string => FORMAT.weekdayDate(addDays(plan.today, day));
  return {
    busy,
    set: (session: Session, to: Cell, minutes: number) => {
      const left = sameCell(session, to) ? [] : pinOf(session, 0);
      const notice = minutes > 0 ? `${duration(minutes)} on ${dayOf(to)}` : `not on ${dayOf(to)}`;
      log({ playerId, pins: [...left, ...pinOf(to, minutes)] }, { said: `${nameOf(to.row)}: ${notice}.` });
    },
    free: (session: Session) =>
      log(
        { playerId, pins: pinOf(session, null) },
        { said: `${nameOf(session.row)}: ${dayOf(session)} is left to the plan.` },
      ),
  };
}

function Planned({ plan, playerId }: { readonly plan: ReedPlanView; readonly playerId: PlayerId }) {
  const [opened, setOpened] = useState<Session | null>(null);
  const { busy, set, free } = useSetting(plan, playerId);
  const close = () => setOpened(null);
  return (
    <>
      <ReedRows plan={plan} onMove={(session, to) => set(session, to, session.minutes)} onOpen={setOpened} />
      <Space above={1}>
        <WhyFold lines={plan.because} about="the plan of four weeks">
          <Typography component="span">{plan.words}</Typography>
        </WhyFold>
      </Space>
      {opened && (
        <SessionSheet
          plan={plan}
          session={opened}
          busy={busy}
          onSet={(...how) => {
            set(...how);
            close();
          }}
          onFree={(session) => {
            free(session);
            close();
          }}
          onClose={close}
        />
      )}
    </>
  );
}

/** Four weeks of record and four of plan; it is worked out on the server and comes when it is ready. */
export function ReedPlan({ kind, playerId }: ReedPlanProps) {
  // It is work for the server: begun when somebody looks, and asked for again while it becomes better.
  const [ref, isSeen] = useSeen();
  const query = useQuery({
    ...reedQueries.plan(playerId, kind, wallNow()),
    enabled: isSeen,
    refetchInterval: ({ state }) => (state.data?.isFinal === false ? ASK_AGAIN_MS : false),
  });
  const { data: plan } = query;
  return (
    <Box ref={ref}>
      <Space above={2}>
        <Compartment title="Four weeks">
          {plan ? (
            <Planned plan={plan} playerId={playerId} />
          ) : query.isError ? (
            <Typography>The plan could not be worked out. Everything else on this page stands.</Typography>
          ) : (
            <Box role="status" sx={{ minHeight: 160 }}>
              <Text below={1}>Planning four weeks …</Text>
              <LinearProgress aria-label="Planning four weeks" />
            </Box>
          )}
        </Compartment>
      </Space>
    </Box>
  );
}
