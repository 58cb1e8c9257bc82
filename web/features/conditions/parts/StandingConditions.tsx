import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { ConditionsPage, ConditionView } from '#contract/conditions.ts';
import { newKey } from '#web/api/new-key.ts';
import { weekdayDate } from '#web/clock/format.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { conditionQueries, useEndCondition } from '#web/features/conditions/conditions.queries.ts';
import { BeginCondition } from '#web/features/conditions/parts/BeginCondition.tsx';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { useNotice } from '#web/ui/Notice.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

/** "since Mon, 3 Nov · until you are well". */
function spanWords({ beginsOn, lastDay, endWords, inForce }: ConditionView, today: string): string {
  const begin = beginsOn > today ? `from ${weekdayDate(beginsOn)}` : `since ${weekdayDate(beginsOn)}`;
  if (lastDay === null) return `${begin} · ends ${endWords}`;
  return `${begin} · ${!inForce && lastDay < today ? 'ended' : 'up to'} ${weekdayDate(lastDay)}`;
}

type Actions = {
  readonly busy: boolean;
  readonly end: (condition: ConditionView) => void;
  readonly goOn: (endKey: string) => void;
};

function One({
  condition,
  today,
  actions,
}: {
  readonly condition: ConditionView;
  readonly today: string;
  readonly actions: Actions;
}) {
  const { name, partName, calls, effects, inForce, endKey } = condition;
  const asks = calls.map(({ name: item, on, words, mark }) => ({
    rule: item,
    text: `${item}: ${words}${on === null ? '' : ` (${weekdayDate(on)})`}.`,
    mark,
  }));
  return (
    <Box
      component="li"
      sx={{ py: 1, borderTop: '1px solid', borderColor: 'divider', '&:first-of-type': { borderTop: 'none' } }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', justifyContent: 'space-between' }}>
        <Typography sx={{ fontWeight: 650 }}>
          {name}
          {partName && ` · ${partName.toLowerCase()}`}
        </Typography>
        {inForce && (
          <Button color="inherit" disabled={actions.busy} onClick={() => actions.end(condition)}>
            It is over
          </Button>
        )}
        {endKey !== null && !inForce && (
          <Button color="inherit" disabled={actions.busy} onClick={() => actions.goOn(endKey)}>
            It goes on
          </Button>
        )}
      </Box>
      <Typography variant="body2" color="text.secondary">
        {spanWords(condition, today)}
      </Typography>
      {(inForce || condition.beginsOn > today) && (
        <>
          <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2.5, listStyle: 'disc' }}>
            {effects.map(({ text }) => (
              <Typography component="li" variant="body2" key={text}>
                {text}
              </Typography>
            ))}
          </Box>
          {asks.length > 0 && (
            <WhyFold lines={asks} about={name} label={`What it asks for (${asks.length})`}>
              {null}
            </WhyFold>
          )}
        </>
      )}
    </Box>
  );
}

function Standing({ page }: { readonly page: ConditionsPage }) {
  const [asking, setAsking] = useState(false);
  const today = useToday();
  const end = useEndCondition();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const failed = (error: Error) => notice({ text: error.message, tone: 'failed' });
  const actions: Actions = {
    busy: end.isPending || withdraw.isPending,
    end: ({ key: conditionKey, name }) => {
      const key = newKey();
      end.mutate(
        { key, conditionKey, endsOn: today, now: wallNow() },
        {
          onSuccess: () =>
            notice({ text: `${name}: today is its last day.`, undo: () => withdraw.mutate(key, { onError: failed }) }),
          onError: failed,
        },
      );
    },
    goOn: (endKey) => withdraw.mutate(endKey, { onError: failed }),
  };
  return (
    <Compartment
      title="For a while"
      aside={
        page.offers.length > 0 && (
          <Button variant="outlined" color="inherit" onClick={() => setAsking(true)}>
            Something has changed
          </Button>
        )
      }
    >
      {page.standing.length === 0 ? (
        <Typography variant="body2" color="text.secondary">
          Illness, a new cork, dry air, a wet tour or a long rest change what is due, from their first day to their
          last.
        </Typography>
      ) : (
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {page.standing.map((condition) => (
            <One key={condition.key} condition={condition} today={today} actions={actions} />
          ))}
        </Box>
      )}
      {asking && <BeginCondition page={page} today={today} onClose={() => setAsking(false)} />}
    </Compartment>
  );
}

/** The conditions an instrument and its player are in: each with its begin, what it asks for, and its end. */
export function StandingConditions({ instrumentId }: { readonly instrumentId: string }) {
  const query = useQuery(conditionQueries.page(instrumentId, useToday()));
  return (
    <QueryView query={query} height={120}>
      {(page) => <Standing page={page as ConditionsPage} />}
    </QueryView>
  );
}

/** What is in force, in a few words, where the next action is chosen. */
export function ConditionsNow({ instrumentId }: { readonly instrumentId: string }) {
  const { data } = useQuery(conditionQueries.page(instrumentId, useToday()));
  const standing = data?.standing.filter(({ inForce }) => inForce) ?? [];
  if (standing.length === 0) return null;
  return (
    <Box component="ul" sx={{ m: 0, mb: 1.5, p: 0, listStyle: 'none', display: 'grid', gap: 0.5 }}>
      {standing.map(({ key, name, effects }) => (
        <Typography component="li" key={key} sx={{ borderLeft: '4px solid', borderColor: 'text.primary', pl: 1.25 }}>
          <strong>{name}.</strong> {effects[0]?.text}
        </Typography>
      ))}
    </Box>
  );
}
