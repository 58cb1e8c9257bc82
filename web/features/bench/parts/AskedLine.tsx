import { Button } from '@mui/material';
import { useEffect, useRef } from 'react';
import type { HandoverAnswer } from '#core/calendar/handover.ts';
import type { TicketView } from '#contract/bench.ts';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Caution } from '#web/ui/Caution.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';
import { Bullets, Quiet } from '#web/ui/Quiet.tsx';
import { Text } from '#web/ui/Text.tsx';

type AskedLineProps = {
  readonly line: TicketView['packing'][number];
  /** "3 of 14". */
  readonly place: string;
  /** What it is compared with: what the ticket asks for, what was wrong. */
  readonly beside: readonly string[];
  /** It was said not to be so: what to do about it stands here. */
  readonly isAmiss: boolean;
  readonly onSaid: (answer: HandoverAnswer) => void;
  readonly onLeave: () => void;
  readonly onBack: (() => void) | null;
};

/** One line of packing or fetching: it is so, it is not, or there is no such thing here. */
export function AskedLine({ line, place, beside, isAmiss, onSaid, onLeave, onBack }: AskedLineProps) {
  const first = useRef<HTMLButtonElement>(null);
  // Enter goes on to the next line: a list is gone through with one key.
  useEffect(() => first.current?.focus({ preventScroll: true }), [line.id]);
  return (
    <Grid gap={1.5}>
      <div aria-live="polite">
        <Quiet>{place}</Quiet>
        <Text component="h2" variant="h1">
          {line.text}
        </Text>
      </div>
      {beside.length > 0 && (
        <Bullets>
          {beside.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </Bullets>
      )}
      {isAmiss && <Caution>{line.amiss}</Caution>}
      <BrassButton ref={first} onClick={() => onSaid('so')}>
        {isAmiss ? 'Now it is so' : 'It is so'}
      </BrassButton>
      <Grid columns="1fr 1fr">
        {isAmiss ? (
          <AnswerButton onClick={onLeave}>Leave it, go on</AnswerButton>
        ) : (
          <AnswerButton onClick={() => onSaid('not-so')}>It is not so</AnswerButton>
        )}
        <AnswerButton onClick={() => onSaid('not-here')}>Not needed here</AnswerButton>
      </Grid>
      <Row>
        {onBack && (
          <Button color="inherit" onClick={onBack}>
            Back
          </Button>
        )}
      </Row>
    </Grid>
  );
}
