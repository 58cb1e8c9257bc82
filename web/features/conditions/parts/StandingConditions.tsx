import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import { listed } from '#core/explain/format.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { ConditionsPage, ConditionView } from '#contract/conditions.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { ConditionActions } from '#web/features/conditions/conditions.actions.ts';
import { BeginCondition } from '#web/features/conditions/parts/BeginCondition.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Bullets } from '#web/ui/Quiet.tsx';

/** "since Mon, 3 Nov · until you are well". */
function spanWords({ beginsOn, lastDay, endWords, inForce }: ConditionView, today: string): string {
  const begin = beginsOn > today ? `from ${FORMAT.weekdayDate(beginsOn)}` : `since ${FORMAT.weekdayDate(beginsOn)}`;
  if (lastDay === null) return `${begin} · ends ${endWords}`;
  return `${begin} · ${!inForce && lastDay < today ? 'ended' : 'up to'} ${FORMAT.weekdayDate(lastDay)}`;
}

function One({
  condition,
  today,
  actions,
}: {
  readonly condition: ConditionView;
  readonly today: string;
  readonly actions: ConditionActions;
}) {
  const { name, partName, aloneName, calls, effects, inForce, endKey, byReading } = condition;
  const asks = calls.map(({ name: item, on, words, mark }) => ({
    rule: item,
    text: `${item}: ${words}${on === null ? '' : ` (${FORMAT.weekdayDate(on)})`}.`,
    mark,
  }));
  return (
    <PlainRow>
      <Row between align="baseline">
        <Text strong>
          {name}
          {partName && ` · ${partName.toLowerCase()}`}
          {aloneName && ` · ${aloneName.toLowerCase()}`}
        </Text>
        {inForce && !byReading && (
          <Button color="inherit" disabled={actions.busy} onClick={() => actions.end(condition)}>
            End it
          </Button>
        )}
        {endKey !== null && !inForce && (
          <Button color="inherit" disabled={actions.busy} onClick={() => actions.goOn(endKey)}>
            It goes on
          </Button>
        )}
      </Row>
      <Typography variant="body2" color="text.secondary">
        {spanWords(condition, today)}
      </Typography>
      {(inForce || condition.beginsOn > today) && (
        <>
          <Bullets above={0.5}>
            {effects.map(({ text }) => (
              <Typography component="li" variant="body2" key={text}>
                {text}
              </Typography>
            ))}
          </Bullets>
          {asks.length > 0 && (
            <WhyFold lines={asks} about={name} label={`What it asks for (${asks.length})`}>
              {null}
            </WhyFold>
          )}
        </>
      )}
    </PlainRow>
  );
}

/** What can change what is due for a while, by the names of what is offered. */
function offersWords({ offers }: ConditionsPage): string {
  const names = listed(offers.map(({ name }) => name.toLowerCase()));
  return offers.length === 0
    ? 'Nothing changes what is due for a while.'
    : `What changes for a while, from its first day to its last: ${names}.`;
}

type StandingConditionsProps = {
  readonly page: ConditionsPage;
  readonly today: LocalDate;
  readonly actions: ConditionActions;
  /** What was read of the air, where it matters. */
  readonly children?: React.ReactNode;
};

/** The conditions an instrument and its player are in: each with its begin, what it asks for, and its end. */
export function StandingConditions({ page, today, actions, children }: StandingConditionsProps) {
  const [asking, setAsking] = useState<'anything' | 'suggested' | null>(null);
  const ask = (about: typeof asking) => {
    actions.open();
    setAsking(about);
  };
  const { suggested, offers } = page;
  return (
    <Compartment
      title="For a while"
      aside={
        page.offers.length > 0 && (
          <Button variant="outlined" color="inherit" onClick={() => ask('anything')}>
            Something has changed
          </Button>
        )
      }
    >
      {page.standing.length === 0 ? (
        <Typography variant="body2" color="text.secondary">
          {offersWords(page)}
        </Typography>
      ) : (
        <PlainList>
          {page.standing.map((condition) => (
            <One key={condition.key} condition={condition} today={today} actions={actions} />
          ))}
        </PlainList>
      )}
      {suggested && (
        <Row between wrap above={1}>
          <Typography>{suggested.because}</Typography>
          <Button variant="outlined" color="inherit" onClick={() => ask('suggested')}>
            Note it: {suggested.name.toLowerCase()}
          </Button>
        </Row>
      )}
      {children}
      {asking && (
        <BeginCondition
          page={page}
          today={today}
          actions={actions}
          suggested={asking === 'suggested' ? offers.find((one) => one.condition === suggested?.condition) : undefined}
          onClose={() => ask(null)}
        />
      )}
    </Compartment>
  );
}
