import { Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { InterviewView, SuspectView } from '#contract/faults.ts';
import type { FaultActions } from '#web/features/faults/faults.actions.ts';
import { choosePath } from '#web/session/reed-paths.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Caution } from '#web/ui/Caution.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type NextStepProps = {
  readonly interview: InterviewView;
  readonly instrumentId: string;
  readonly actions: FaultActions;
};

/** One remedy with what is done, what is not, and whether it helped. */
function RemedyOf({
  suspect,
  interviewKey,
  instrumentId,
  actions,
}: {
  readonly suspect: SuspectView;
  readonly interviewKey: string;
  readonly instrumentId: string;
  readonly actions: FaultActions;
}) {
  const { remedy } = suspect;
  const { care } = remedy;
  const thatWasIt = () => actions.tried(interviewKey, suspect, true);
  return (
    <>
      <Typography variant="body2" color="text.secondary">
        {suspect.wordSaid}: {suspect.name.charAt(0).toLowerCase() + suspect.name.slice(1)} ·{' '}
        {remedy.handWords.toLowerCase()}
      </Typography>
      <Text variant="h1" component="h2" above={1} below={1}>
        {remedy.heading}
      </Text>
      <Text measured>{remedy.how}</Text>
      {remedy.never && <Caution above={1.5}>{remedy.never}</Caution>}
      {suspect.again && <Caution above={1.5}>{suspect.again}</Caution>}
      {remedy.thenWords && (
        <Text variant="body2" color="text.secondary" above={1.5}>
          {remedy.thenWords}
        </Text>
      )}
      <Row wrap above={2}>
        {remedy.atTable ? (
          <BrassButton {...{ component: Link, to: `${choosePath(instrumentId)}?interview=${interviewKey}` }}>
            Lay the reed on the table
          </BrassButton>
        ) : care?.isRun ? (
          <BrassButton disabled={actions.busy} onClick={() => actions.begunCare(care.itemId)}>
            Do it step by step
          </BrassButton>
        ) : (
          <BrassButton disabled={actions.busy} onClick={thatWasIt}>
            {remedy.isOwn ? 'Done: that was it' : 'Seen to: that was it'}
          </BrassButton>
        )}
        {(remedy.atTable || care?.isRun) && (
          <Button variant="outlined" color="inherit" disabled={actions.busy} onClick={thatWasIt} size="large">
            That was it
          </Button>
        )}
        <Button
          variant="outlined"
          color="inherit"
          disabled={actions.busy}
          onClick={() => actions.tried(interviewKey, suspect, false)}
          size="large"
        >
          It did not help
        </Button>
        {remedy.inReeds && !remedy.atTable && (
          <Button color="inherit" {...{ component: Link, to: `/reeds/${instrumentId}` }} size="large">
            Say it of the reed
          </Button>
        )}
      </Row>
    </>
  );
}

/** The right thing next, once enough is known. */
export function NextStep({ interview, instrumentId, actions }: NextStepProps) {
  const { suspected, endWords, key, forChild } = interview;
  const next = suspected.find(({ wasTried }) => !wasTried);
  return (
    <Compartment>
      {endWords && (
        <Text color="text.secondary" below={1}>
          {endWords}
        </Text>
      )}
      {next ? (
        <RemedyOf suspect={next} interviewKey={key} instrumentId={instrumentId} actions={actions} />
      ) : (
        <>
          <Text variant="h1" component="h2" above={1} below={1}>
            {forChild ? 'Show it to a grown-up or your teacher' : 'Show it to a teacher or the bench'}
          </Text>
          <Text measured>
            Nothing of the list fits well. The note beside says what was noticed, seen and tried: take it along.
          </Text>
        </>
      )}
    </Compartment>
  );
}
