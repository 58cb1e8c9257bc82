import { Box, Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { InterviewView, SuspectView } from '#contract/faults.ts';
import type { FaultActions } from '#web/features/faults/faults.actions.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Caution } from '#web/ui/Caution.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';

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
  return (
    <>
      <Typography variant="body2" color="text.secondary">
        {suspect.wordSaid}: {suspect.name.charAt(0).toLowerCase() + suspect.name.slice(1)} ·{' '}
        {remedy.handWords.toLowerCase()}
      </Typography>
      <Typography variant="h1" component="h2" sx={{ my: 1 }}>
        {remedy.heading}
      </Typography>
      <Typography sx={{ maxWidth: '62ch' }}>{remedy.how}</Typography>
      {remedy.never && <Caution sx={{ mt: 1.5 }}>{remedy.never}</Caution>}
      {suspect.again && <Caution sx={{ mt: 1.5 }}>{suspect.again}</Caution>}
      {remedy.thenWords && (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5 }}>
          {remedy.thenWords}
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 2 }}>
        {care?.isRun ? (
          <BrassButton disabled={actions.busy} onClick={() => actions.begunCare(care.itemId)} sx={{ minHeight: 56 }}>
            Do it step by step
          </BrassButton>
        ) : (
          <BrassButton
            disabled={actions.busy}
            onClick={() => actions.tried(interviewKey, suspect, true)}
            sx={{ minHeight: 56 }}
          >
            {remedy.isOwn ? 'Done: that was it' : 'Seen to: that was it'}
          </BrassButton>
        )}
        {care?.isRun && (
          <Button
            variant="outlined"
            color="inherit"
            disabled={actions.busy}
            onClick={() => actions.tried(interviewKey, suspect, true)}
            sx={{ minHeight: 56 }}
          >
            That was it
          </Button>
        )}
        <Button
          variant="outlined"
          color="inherit"
          disabled={actions.busy}
          onClick={() => actions.tried(interviewKey, suspect, false)}
          sx={{ minHeight: 56 }}
        >
          It did not help
        </Button>
        {remedy.inReeds && (
          <Button color="inherit" {...{ component: Link, to: `/reeds/${instrumentId}` }} sx={{ minHeight: 56 }}>
            Say it of the reed
          </Button>
        )}
      </Box>
    </>
  );
}

/** The right thing next, once enough is known. */
export function NextStep({ interview, instrumentId, actions }: NextStepProps) {
  const { suspected, endWords, key } = interview;
  const next = suspected.find(({ wasTried }) => !wasTried);
  return (
    <Compartment>
      {endWords && (
        <Typography color="text.secondary" sx={{ mb: 1 }}>
          {endWords}
        </Typography>
      )}
      {next ? (
        <RemedyOf suspect={next} interviewKey={key} instrumentId={instrumentId} actions={actions} />
      ) : (
        <>
          <Typography variant="h1" component="h2" sx={{ my: 1 }}>
            Show it to a teacher or the bench
          </Typography>
          <Typography sx={{ maxWidth: '62ch' }}>
            Nothing of the list fits well. The note beside says what was noticed, seen and tried: take it along.
          </Typography>
        </>
      )}
    </Compartment>
  );
}
