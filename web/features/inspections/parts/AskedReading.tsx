import { Button, TextField, Typography } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import { readOtherwise, shownReading, stepped, typedReading, type Asked } from '#web/features/inspections/draft.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { StepButton } from '#web/ui/StepButton.tsx';
import { Text } from '#web/ui/Text.tsx';

type AskedReadingProps = {
  readonly asked: Asked;
  /** "3 of 14". */
  readonly place: string;
  readonly onChange: (asked: Asked) => void;
  readonly onKeep: (asked: Asked) => void;
  readonly onLeaveOut: () => void;
  readonly onBack: (() => void) | null;
};

const ARROWS: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 };

/** One thing that is read: arrows or the thumb change the number, Enter keeps it. */
export function AskedReading({ asked, place, onChange, onKeep, onLeaveOut, onBack }: AskedReadingProps) {
  const { measure, way, value } = asked;
  const [typed, setTyped] = useState(value === null ? '' : String(value));
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus({ preventScroll: true }), []);
  const change = (next: number) => {
    setTyped(String(next));
    onChange({ ...asked, value: next, isSaid: false });
  };
  const isWrong = typed !== '' && typedReading(way, typed) === null;
  const keep = () => {
    if (!isWrong && value !== null) onKeep({ ...asked, isSaid: true });
  };
  return (
    <Grid gap={1.5}>
      <div>
        <Quiet>{place}</Quiet>
        <Text component="h3" variant="h2">
          {measure.name}
          {measure.placeName !== null && <Quiet>: {measure.placeName}</Quiet>}
        </Text>
      </div>
      {measure.ways.length > 1 && (
        <ChooseOne
          label="How it is read"
          labelHidden
          options={measure.ways.map((one) => ({ value: one.way, words: one.words }))}
          value={way.way}
          onChange={(next) => {
            const other = readOtherwise(asked, next);
            setTyped(other.value === null ? '' : String(other.value));
            onChange(other);
          }}
        />
      )}
      <Typography>
        {way.how}
        {way.tool !== null && <Quiet> You need {way.tool}.</Quiet>}
      </Typography>
      <Row align="center" gap={1.5} wrap>
        <StepButton aria-label={`Less: ${measure.name}`} onClick={() => change(stepped(asked, -1))}>
          −
        </StepButton>
        <TextField
          inputRef={field}
          label="Reading"
          value={typed}
          error={isWrong}
          size="small"
          slotProps={{
            htmlInput: { inputMode: 'decimal', autoComplete: 'off', size: 6, 'aria-describedby': 'reading-words' },
          }}
          onChange={({ target }) => {
            setTyped(target.value);
            onChange({ ...asked, value: typedReading(way, target.value), isSaid: false });
          }}
          onKeyDown={(event) => {
            const steps = ARROWS[event.key];
            if (event.key === 'Enter') keep();
            // Within a number the arrows to the sides move the caret.
            else if (steps === undefined || (typed !== '' && event.key !== 'ArrowUp' && event.key !== 'ArrowDown'))
              return;
            else change(stepped(asked, steps));
            event.preventDefault();
          }}
        />
        <StepButton aria-label={`More: ${measure.name}`} onClick={() => change(stepped(asked, 1))}>
          +
        </StepButton>
        <Text strong id="reading-words" aria-live="polite">
          {isWrong
            ? `From ${shownReading(way, way.least)} to ${shownReading(way, way.most)}.`
            : shownReading(way, value)}
        </Text>
      </Row>
      <Quiet>
        {way.limits}
        {measure.newest !== null && ` Last time: ${measure.newest.words}.`}
      </Quiet>
      <BrassButton disabled={value === null || isWrong} onClick={keep}>
        {value === null ? 'Type what you read' : `Keep ${shownReading(way, value)}`}
      </BrassButton>
      <Row between>
        <Space>
          {onBack && (
            <Button color="inherit" onClick={onBack}>
              Back
            </Button>
          )}
        </Space>
        <Button color="inherit" onClick={onLeaveOut}>
          Leave this out
        </Button>
      </Row>
    </Grid>
  );
}
