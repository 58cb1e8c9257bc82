import { Box, Button, Typography } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import { countdown, isWaiting } from '#core/packup/run-progress.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { PassCounter } from '#web/features/packup/parts/PassCounter.tsx';
import { Caution } from '#web/ui/Caution.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { HANDS_WORDS } from '#web/ui/hands-words.ts';

type StepAtHandProps = {
  readonly step: ShownStep;
  /** The run holds several instruments, so the step says whose it is. */
  readonly several: boolean;
  readonly nowMs: number;
  readonly onTick: () => void;
  readonly onSkip: () => void;
  readonly onNotNeeded: () => void;
  readonly onAnswer: (answer: string) => void;
  readonly onCount: (count: number) => void;
};

/** What the look may find, one tap each; what stops the item says so. */
function LookAnswers({
  look,
  onAnswer,
}: {
  readonly look: NonNullable<ShownStep['look']>;
  readonly onAnswer: (answer: string) => void;
}) {
  return look.answers.map(({ id, words, endsItem }) => (
    <Button
      key={id}
      variant="outlined"
      color="inherit"
      onClick={() => onAnswer(id)}
      sx={{ minHeight: 64, px: 3, borderWidth: 2, color: endsItem ? 'stop.ink' : 'text.primary' }}
    >
      {words}
      {endsItem && ': to the bench'}
    </Button>
  ));
}

/** The step to do now, large enough to read from a music stand. */
export function StepAtHand({ step, several, nowMs, onTick, onSkip, onNotNeeded, onAnswer, onCount }: StepAtHandProps) {
  const {
    heading,
    how,
    why,
    harm,
    cautions,
    supplies,
    hands,
    must,
    onlyIf,
    repeats,
    way,
    wait,
    waitsUntilMs,
    count,
    partName,
    counted,
    activeMinutes,
    look,
    instrumentName,
  } = step;
  const waiting = isWaiting(step, nowMs);
  const who = HANDS_WORDS[hands];
  return (
    <Compartment sx={{ display: 'flex', flexDirection: 'column' }}>
      <Typography color="text.secondary">
        {several && <strong>{instrumentName} · </strong>}
        {partName} · about {duration(Math.max(1, activeMinutes))}
        {who && ` · ${who}`}
      </Typography>
      {onlyIf && (
        <Typography variant="h2" component="p" sx={{ mt: 1 }}>
          {onlyIf}
        </Typography>
      )}
      {look && (
        <Typography variant="h2" component="p" sx={{ mt: 1 }}>
          {look.question}
        </Typography>
      )}
      <Typography variant="h1" component="h2" sx={{ mt: 0.5, fontSize: { xs: '1.375rem', sm: '1.75rem' } }}>
        {heading}
      </Typography>
      {how && <Typography sx={{ mt: 1, maxWidth: '62ch' }}>{how}</Typography>}
      {cautions.map((caution) => (
        <Caution key={caution} sx={{ mt: 1 }}>
          {caution}
        </Caution>
      ))}
      {repeats && <PassCounter count={count ?? 1} repeats={repeats} made={counted} onCount={onCount} />}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        {why}
        {harm && ` Left out: ${harm}.`}
        {supplies.length > 0 && ` At hand: ${supplies.join(', ')}.`}
      </Typography>
      {way.length > 0 && <WhyFold lines={way} about={heading} label="Why this way" />}
      {wait && (
        <Typography sx={{ mt: 1 }}>
          Then it waits about {duration(wait.minutes)} by itself: {wait.why}. Go on meanwhile.
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, mt: 2.5, flexWrap: 'wrap', alignItems: 'center' }}>
        {look && <LookAnswers look={look} onAnswer={onAnswer} />}
        {!look && (
          <BrassButton
            onClick={onTick}
            disabled={waiting}
            sx={{ minWidth: 180, minHeight: 64, flexGrow: { xs: 1, sm: 0 } }}
          >
            {waiting ? `Waits ${countdown(waitsUntilMs ?? nowMs, nowMs)}` : 'Done'}
          </BrassButton>
        )}
        {onlyIf && (
          <Button variant="outlined" color="inherit" onClick={onNotNeeded} sx={{ minHeight: 64, px: 3 }}>
            No, not needed
          </Button>
        )}
        <Button color="inherit" onClick={onSkip} sx={{ minHeight: 56 }}>
          Skip…
        </Button>
        {must && (
          <Typography variant="body2" color="text.secondary">
            never left out without a reason
          </Typography>
        )}
      </Box>
    </Compartment>
  );
}
