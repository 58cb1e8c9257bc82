import { Button, Slider, Typography } from '@mui/material';
import { useState } from 'react';
import { FURTHEST_CENTS, type Heard, type PitchFrom } from '#core/doublereeds/examination.ts';
import { asSentence } from '#core/explain/format.ts';
import { centsWords } from '#core/doublereeds/table-words.ts';
import type { MoveView } from '#contract/doublereeds.ts';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type CrowMoveProps = {
  readonly crow: NonNullable<MoveView['crow']>;
  readonly busy: boolean;
  readonly onCrow: (said: { heard: Heard; cents: number | null; from: PitchFrom }) => void;
};
/** A needle is read to about this, cents. */
const STEP = 5;
const MARKS = [-50, 0, 50].map((value) => ({
  value,
  label: value === 0 ? '0' : `${Math.abs(value)} ${value < 0 ? 'flat' : 'sharp'}`,
}));
const within = (cents: number): number => Math.min(FURTHEST_CENTS, Math.max(-FURTHEST_CENTS, cents));

/** How far off the tuner shows it: a dial in steps of five cents, nothing to type. */
function CentsDial({
  words,
  busy,
  onCents,
  onBack,
}: {
  readonly words: string;
  readonly busy: boolean;
  readonly onCents: (cents: number) => void;
  readonly onBack: () => void;
}) {
  const [cents, setCents] = useState(0);
  return (
    <Space above={1.5}>
      <Text strong>{words}</Text>
      <Text variant="h1" component="p" above={1} aria-live="polite">
        {asSentence(centsWords(cents))}
      </Text>
      <Slider
        aria-label="Cents on the tuner"
        value={cents}
        min={-FURTHEST_CENTS}
        max={FURTHEST_CENTS}
        step={STEP}
        marks={MARKS}
        track={false}
        getAriaValueText={centsWords}
        onChange={(_event, value) => setCents(Number(value))}
      />
      <Grid columns="1fr 1fr" above={1}>
        <AnswerButton disabled={busy} onClick={() => setCents(within(cents - STEP))}>
          Flatter
        </AnswerButton>
        <AnswerButton disabled={busy} onClick={() => setCents(within(cents + STEP))}>
          Sharper
        </AnswerButton>
      </Grid>
      <Row above={2}>
        <BrassButton size="large" disabled={busy} onClick={() => onCents(cents)}>
          That is it
        </BrassButton>
        <Button color="inherit" size="large" disabled={busy} onClick={onBack}>
          It sounded otherwise
        </Button>
      </Row>
    </Space>
  );
}

/** What the reed sounds like by itself, and how far off it is where that is asked. */
export function CrowMove({ crow, busy, onCrow }: CrowMoveProps) {
  const [heard, setHeard] = useState<Heard | null>(null);
  const { from, pitchWords, listenFor } = crow;
  if (heard !== null && pitchWords !== null)
    return (
      <CentsDial
        words={pitchWords}
        busy={busy}
        onCents={(cents) => onCrow({ heard, cents, from })}
        onBack={() => setHeard(null)}
      />
    );
  return (
    <Space above={1}>
      <Typography>{listenFor}</Typography>
      <Grid columns={{ xs: '1fr 1fr', sm: '1fr 1fr 1fr' }} above={1.5}>
        {crow.heard.map((one) => (
          <AnswerButton
            key={one.heard}
            disabled={busy}
            onClick={() => (one.asksPitch ? setHeard(one.heard) : onCrow({ heard: one.heard, cents: null, from }))}
          >
            {one.words}
          </AnswerButton>
        ))}
      </Grid>
    </Space>
  );
}
