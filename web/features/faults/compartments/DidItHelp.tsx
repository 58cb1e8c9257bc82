import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { InstrumentPage } from '#contract/care.ts';
import { useToday } from '#web/clock/today.ts';
import { useFaultActions } from '#web/features/faults/faults.actions.ts';
import { faultQueries } from '#web/features/faults/faults.queries.ts';
import { Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type DidItHelpProps = { readonly page: Pick<InstrumentPage, 'instrument' | 'wrong' | 'lastPlay'> };

/** After the next play one question more: did what was done help? Nothing where it was not played since, or is still asked. */
export function DidItHelp({ page: { instrument, wrong, lastPlay } }: DidItHelpProps) {
  const holder = useCurrentPlayer(useQuery(playerQueries.list()).data);
  const query = useQuery({
    ...faultQueries.page(instrument.id, useToday(), 'quick', holder?.id),
    enabled: holder !== undefined && wrong !== null && lastPlay !== null,
  });
  const actions = useFaultActions(instrument.id, instrument.playerId);
  // What is stopped waits for somebody who looks: no remedy of one's own ends it.
  const open = query.data?.stopped ? null : (query.data?.open ?? null);
  const remedy = open?.question === null ? open.suspected.find(({ wasTried }) => !wasTried) : undefined;
  if (!open || !remedy || lastPlay === null || lastPlay.endedOn < open.on) return null;
  return (
    <Space above={1.5}>
      <Text strong>Did it help? {remedy.remedy.heading}.</Text>
      <Row wrap above={0.5}>
        <Button
          variant="outlined"
          color="inherit"
          disabled={actions.busy}
          onClick={() => actions.tried(open.key, remedy, true)}
        >
          That was it
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          disabled={actions.busy}
          onClick={() => actions.tried(open.key, remedy, false)}
        >
          It did not help
        </Button>
      </Row>
    </Space>
  );
}
