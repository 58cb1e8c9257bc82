import { Typography } from '@mui/material';
import type { HandoverAnswer } from '#core/calendar/handover.ts';
import type { TicketView } from '#contract/bench.ts';
import { LineButton } from '#web/ui/LineButton.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Text } from '#web/ui/Text.tsx';

const ANSWER_WORDS: Readonly<Record<HandoverAnswer, string>> = {
  so: 'It is so',
  'not-so': 'Not so',
  'not-here': 'Not needed here',
};

type LinesSaidProps = {
  readonly lines: TicketView['packing'];
  readonly said: Readonly<Record<string, HandoverAnswer>>;
  readonly onGoTo: (id: string) => void;
};

/** Every line with what was said of it: what is not so first, with what to do about it. */
export function LinesSaid({ lines, said, onGoTo }: LinesSaidProps) {
  const rank = (id: string): number => (said[id] === 'not-so' ? 0 : 1);
  return (
    <PlainList>
      {lines
        .toSorted((a, b) => rank(a.id) - rank(b.id))
        .map(({ id, text, amiss }) => {
          const answer = said[id];
          const words = answer === undefined ? 'Not looked at' : ANSWER_WORDS[answer];
          return (
            <PlainRow key={id} columns="1fr auto">
              <div>
                <Text {...(answer === 'not-so' && { strong: true })}>{text}</Text>
                {answer === 'not-so' && <Typography color="text.secondary">{amiss}</Typography>}
              </div>
              <LineButton color="inherit" aria-label={`${words}: change ${text}`} onClick={() => onGoTo(id)}>
                {words}
              </LineButton>
            </PlainRow>
          );
        })}
    </PlainList>
  );
}
