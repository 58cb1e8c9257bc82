import { Button, Chip, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import { counted } from '#core/explain/format.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { isWaiting } from '#core/packup/run-progress.ts';
import { SKIP_SETTLES, type SkipReason } from '#core/packup/run-event.ts';
import type { ShownRun, ShownStep } from '#contract/shown-run.ts';
import { LookAnswers } from '#web/features/packup/parts/LookAnswers.tsx';
import type { Ending, RunLog } from '#web/features/packup/run.actions.ts';
import { SKIP_WORDS } from '#web/features/packup/skip-words.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { LineButton } from '#web/ui/LineButton.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type FinishSheetProps = {
  readonly run: ShownRun;
  readonly nowMs: number;
  readonly log: Pick<RunLog, 'answer' | 'tick' | 'skip' | 'takeAllBack' | 'finishWith' | 'busy'>;
  readonly onClose: () => void;
};

/** Reasons that answer for whatever is still open. */
const REASONS_TO_END = [
  'no-time',
  'not-today',
  'no-supplies',
  'done-already',
  'my-own-way',
] as const satisfies SkipReason[];

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Space component="section" below={2}>
      <Text variant="h3" below={0.75}>
        {title}
      </Text>
      {children}
    </Space>
  );
}

const Chips = ({ children }: { readonly children: ReactNode }) => (
  <Row gap={0.75} wrap>
    {children}
  </Row>
);

/** What is open when somebody wants to finish, sorted by what there is to ask. */
function openIn({ steps }: ShownRun) {
  const open = steps.filter(({ state, called }) => state === 'open' && called === 'yes');
  return {
    looks: open.filter(({ look }) => look !== null),
    asked: open.filter(({ look, onlyIf }) => look === null && onlyIf !== null),
    rest: open.filter(({ look, onlyIf }) => look === null && onlyIf === null),
  };
}

const keysOf = (steps: readonly ShownStep[]): RunStepKey[] => steps.map(({ key }) => key);

/** A step as a chip: pressed it is one of those named above. */
function StepChip({
  step,
  several,
  pressed,
  onPress,
}: {
  readonly step: ShownStep;
  readonly several: boolean;
  readonly pressed: boolean;
  readonly onPress: () => void;
}) {
  return (
    <Chip
      label={`${several ? `${step.instrumentName}: ` : ''}${step.heading}`}
      variant={pressed ? 'filled' : 'outlined'}
      color={pressed ? 'primary' : 'default'}
      onClick={onPress}
      aria-pressed={pressed}
    />
  );
}

/** Looks nobody has answered; where hands are in it too, it can be said not to be done. */
function Looks({
  looks,
  several,
  log,
}: {
  readonly looks: readonly ShownStep[];
  readonly several: boolean;
  readonly log: Pick<RunLog, 'answer' | 'skip'>;
}) {
  return (
    <Part title="Did you look?">
      {looks.map(({ key, instrumentName, heading, onlyLooks, look }) => (
        <Space key={key} below={1}>
          <Text variant="body2" below={0.5}>
            {several && `${instrumentName}: `}
            {!onlyLooks && <strong>{heading}. </strong>}
            {look?.question}
          </Text>
          <Row wrap>
            {look && <LookAnswers look={look} onAnswer={(answer) => log.answer(key, answer)} />}
            {!onlyLooks && (
              <Button color="inherit" onClick={() => log.skip(key, 'no-time')} size="large">
                Not done
              </Button>
            )}
          </Row>
        </Space>
      ))}
      <Typography variant="body2" color="text.secondary">
        Without an answer it is noted that nobody looked.
      </Typography>
    </Part>
  );
}

/** Ends a run: what nobody has said yet is asked here, each with a tap; nothing is counted as done that was not said. */
export function FinishSheet({ run, nowMs, log, onClose }: FinishSheetProps) {
  const { looks, asked, rest } = openIn(run);
  const several = run.parts.length > 1;
  const listed = run.steps.filter(({ along }) => along === 'list');
  const leftOut = run.steps.filter(({ state, skipReason }) => state === 'skipped' && skipReason === 'no-time');
  const end = (reason: SkipReason | null): Ending => ({
    notLooked: keysOf(looks),
    notNeeded: keysOf(asked),
    leftOut: keysOf(rest),
    reason,
  });
  const waiting = rest.filter((step) => isWaiting(step, nowMs));
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="finish-title">
      <DialogTitle id="finish-title" variant="h2">
        {run.kind === 'after' ? 'Finish packing up' : 'Finish'}
      </DialogTitle>
      <DialogContent>
        {looks.length > 0 && <Looks looks={looks} several={several} log={log} />}
        {asked.length > 0 && (
          <Part title="Did you do any of these too?">
            <Chips>
              {asked.map((step) => (
                <StepChip
                  key={step.key}
                  step={step}
                  several={several}
                  pressed={false}
                  onPress={() => log.tick(step.key)}
                />
              ))}
            </Chips>
          </Part>
        )}
        {listed.length > 0 && (
          <Part title="Was anything left out?">
            <Chips>
              {[...listed, ...leftOut].map((step) => (
                <StepChip
                  key={step.key}
                  step={step}
                  several={several}
                  pressed={step.state === 'skipped'}
                  onPress={() => (step.state === 'skipped' ? log.tick(step.key) : log.skip(step.key, 'no-time'))}
                />
              ))}
            </Chips>
            <Space above={0.5}>
              <Button color="inherit" onClick={() => log.takeAllBack(keysOf(listed))}>
                Undo: tick them one by one
              </Button>
            </Space>
          </Part>
        )}
        {rest.length > 0 && (
          <Part title={`${counted(rest.length, 'step')} still open. Why?`}>
            <Text variant="body2" color="text.secondary" below={1}>
              {rest.map(({ heading }) => heading).join(' · ')}
              {waiting.length > 0 && ` (${counted(waiting.length, 'step')} still has to wait)`}
            </Text>
            <Grid columns={{ xs: '1fr', sm: '1fr 1fr' }}>
              {REASONS_TO_END.map((reason) => (
                <LineButton
                  key={reason}
                  variant="outlined"
                  color="inherit"
                  disabled={log.busy}
                  onClick={() => log.finishWith(end(reason))}
                  between
                >
                  {SKIP_WORDS[reason]}
                  <Quiet>{SKIP_SETTLES[reason] ? 'counts as done' : 'stays due'}</Quiet>
                </LineButton>
              ))}
            </Grid>
          </Part>
        )}
      </DialogContent>
      <DialogActions sx={{ justifyContent: 'space-between', px: 3, pb: 2 }}>
        <Button color="inherit" onClick={onClose}>
          Back
        </Button>
        {rest.length === 0 && (
          <BrassButton disabled={log.busy} onClick={() => log.finishWith(end(null))}>
            Finish and record it
          </BrassButton>
        )}
      </DialogActions>
    </Sheet>
  );
}
