import { Box, Button, Chip, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { duration } from '#core/explain/format.ts';
import { END_WORDS, FEEL_WORDS, SIGN_WORDS, SITS_WORDS, USE_WORDS } from '#core/reeds/reed-words.ts';
import {
  ENDS_OF,
  REED_FEELS,
  REED_USES,
  RESISTANCES,
  SIGNS_OF,
  SITS,
  signInList,
  type Character,
  type ReedFamily,
  type ReedFeel,
  type ReedSign,
} from '#core/reeds/reed.ts';
import type { ReedView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { useReedSaid } from '#web/features/reeds/reeds.actions.ts';
import { ReedTrial } from '#web/features/reeds/parts/ReedTrial.tsx';
import { Link } from 'react-router';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Row } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type ReedSheetProps = {
  readonly name: string;
  readonly reed: ReedView;
  readonly family: ReedFamily;
  /** It has a back that can bulge. */
  readonly hasBack: boolean;
  readonly said: ReturnType<typeof useReedSaid>;
  /** Where a double reed is looked at; null for others. */
  readonly table: string | null;
  /** Where it is asked what is wrong; null where there is no instrument it plays on. */
  readonly faults: string | null;
  readonly onClose: () => void;
};

const Chips = ({ children }: { readonly children: React.ReactNode }) => <Row wrap>{children}</Row>;

/** Five in hand are unlike one another: how much it resists, and where it sits on the tuner. Two taps. */
const AskCharacter = ({
  character: { resistance, sits },
  onChange,
}: {
  readonly character: Character;
  readonly onChange: (character: Character) => void;
}) => (
  <Box role="group" aria-label="How it is beside the others">
    <Text below={0.5}>How much does it resist, and where does it sit?</Text>
    <Chips>
      {RESISTANCES.map((one) => (
        <Chip
          key={one}
          label={one === 1 ? '1 easy' : one === RESISTANCES.length ? `${one} hard` : one}
          variant={one === resistance ? 'filled' : 'outlined'}
          aria-pressed={one === resistance}
          onClick={() => onChange({ resistance: one, sits })}
        />
      ))}
    </Chips>
    <Row wrap above={1} below={1}>
      {SITS.map((one) => (
        <Chip
          key={one}
          label={SITS_WORDS[one]}
          variant={one === sits ? 'filled' : 'outlined'}
          aria-pressed={one === sits}
          onClick={() => onChange({ resistance, sits: one })}
        />
      ))}
    </Row>
  </Box>
);

/** How it felt first, then what it is good for: two taps. "Too hard" asks for a flat back before it is a grade. */
function Grading({ reed, family, hasBack, said, faults, onClose }: Omit<ReedSheetProps, 'name' | 'table'>) {
  const [feel, setFeel] = useState<ReedFeel | null>(null);
  const [signs, setSigns] = useState<readonly ReedSign[]>([]);
  const [isTrying, setTrying] = useState(false);
  const [isTried, setTried] = useState(false);
  const [character, setCharacter] = useState<Character>({});
  /** The last that was said: it leads to what it may be. */
  const asked = signs.map((one) => signInList(family, one)).findLast((one) => one !== undefined);
  const grade = (goodFor: (typeof REED_USES)[number] | null) => {
    if (feel === null) return;
    said.graded(reed.reedId, { feel, goodFor, signs: [...signs], ...character });
    onClose();
  };
  if (isTrying)
    return (
      <ReedTrial
        hasBack={hasBack}
        onFlattened={() => said.flattened(reed.reedId)}
        onGrade={(felt) => {
          setTrying(false);
          setTried(true);
          setFeel(felt);
        }}
      />
    );
  if (feel === null)
    return (
      <Box>
        <Text variant="h2" below={1}>
          How did it feel?
        </Text>
        <Chips>
          {REED_FEELS.map((one) => (
            <Button key={one} variant="outlined" color="inherit" onClick={() => setFeel(one)}>
              {FEEL_WORDS[one]}
            </Button>
          ))}
        </Chips>
        {family === 'single' && (
          <Button color="inherit" onClick={() => setTrying(true)}>
            Try it step by step
          </Button>
        )}
      </Box>
    );
  return (
    <Stack spacing={1.5}>
      {feel === 'too-hard' && hasBack && !isTried && (
        <Box>
          <Typography>
            Has its back been rubbed flat? A reed that feels too hard may only be bulged. Rub it flat, try it again, and
            grade it then.
          </Typography>
          <Chips>
            <Button
              variant="outlined"
              color="inherit"
              disabled={said.busy}
              onClick={() => {
                said.flattened(reed.reedId);
                setFeel(null);
              }}
            >
              I have just rubbed it flat
            </Button>
            <Button variant="outlined" color="inherit" disabled={said.busy} onClick={() => grade(null)}>
              Still too hard
            </Button>
          </Chips>
        </Box>
      )}
      <Chips>
        {SIGNS_OF[family].map((one) => (
          <Chip
            key={one}
            label={SIGN_WORDS[one]}
            variant={signs.includes(one) ? 'filled' : 'outlined'}
            aria-pressed={signs.includes(one)}
            onClick={() => setSigns(signs.includes(one) ? signs.filter((other) => other !== one) : [...signs, one])}
          />
        ))}
      </Chips>
      {faults !== null && asked !== undefined && (
        <Chips>
          <Button color="inherit" {...{ component: Link, to: `${faults}?sign=${asked}` }}>
            Ask what it is
          </Button>
        </Chips>
      )}
      {(feel !== 'too-hard' || !hasBack || isTried) && (
        <Box>
          {family === 'double' && <AskCharacter character={character} onChange={setCharacter} />}
          <Text below={0.5}>It felt {FEEL_WORDS[feel]}. What is it good for?</Text>
          <Chips>
            {REED_USES.map((one) => (
              <Button key={one} variant="outlined" color="inherit" disabled={said.busy} onClick={() => grade(one)}>
                {USE_WORDS[one]}
              </Button>
            ))}
          </Chips>
        </Box>
      )}
    </Stack>
  );
}

/** Why it is played no more: one tap, and it can be taken back. */
function Retiring({ reed, family, said, onClose }: Omit<ReedSheetProps, 'name' | 'hasBack' | 'table' | 'faults'>) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <Button color="inherit" onClick={() => setOpen(true)}>
        Retire this reed…
      </Button>
    );
  return (
    <Box>
      <Text below={0.5}>Why is it no longer played?</Text>
      <Chips>
        {ENDS_OF[family].map((cause) => (
          <Button
            key={cause}
            variant="outlined"
            color="inherit"
            disabled={said.busy}
            onClick={() => {
              said.ended(reed.reedId, cause);
              onClose();
            }}
          >
            {END_WORDS[cause]}
          </Button>
        ))}
      </Chips>
    </Box>
  );
}

/** What is known of one reed, and what can be said of it after playing. */
export function ReedSheet({ name, ...props }: ReedSheetProps) {
  const { reed, said, hasBack, table, onClose } = props;
  const { words, playedMinutes, leftWords, lastPlayedOn, because, stage } = reed;
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="reed-title">
      <DialogTitle id="reed-title" variant="h1">
        {name}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <Box>
            <Text strong>{words}</Text>
            <Typography color="text.secondary">
              {playedMinutes === 0 ? 'Not played in this record.' : `Played ${duration(playedMinutes)}`}
              {leftWords && `, ${leftWords}`}
              {lastPlayedOn && `. Last on ${FORMAT.weekdayDate(lastPlayedOn)}.`}
            </Typography>
            {because.length > 0 && <WhyFold lines={because} about={`the breaking in of ${name}`} />}
          </Box>
          {table !== null && (
            <Row wrap>
              {stage !== 'retired' && (
                <BrassButton {...{ component: Link, to: table }}>Look at it at the table</BrassButton>
              )}
              <Button color="inherit" {...{ component: Link, to: `${table}/card` }}>
                Its card
              </Button>
            </Row>
          )}
          {stage !== 'retired' && (
            <>
              {stage !== 'new' && <Grading {...props} />}
              <Row wrap>
                {stage !== 'new' && hasBack && (
                  <Button
                    color="inherit"
                    disabled={said.busy}
                    onClick={() => {
                      said.flattened(reed.reedId);
                      onClose();
                    }}
                  >
                    Its back is rubbed flat
                  </Button>
                )}
                <Retiring {...props} />
              </Row>
            </>
          )}
          <Button color="inherit" onClick={onClose}>
            Close
          </Button>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
