import { Button, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import type { Sense, SignId } from '#core/book/fault.ts';
import { findSigns } from '#core/faults/find-signs.ts';
import type { FaultsPage, Noticeable } from '#contract/faults.ts';
import { SignChoice } from '#web/features/faults/parts/SignChoice.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Grid } from '#web/ui/layout.tsx';

const SENSES = [
  { value: 'hear', words: 'I hear it' },
  { value: 'feel', words: 'I feel it' },
  { value: 'see', words: 'I see it' },
] as const satisfies readonly { value: Sense; words: string }[];

type StartInterviewProps = {
  readonly page: FaultsPage;
  /** Where it was tapped: what can be noticed there comes alone, until somebody asks for everything. */
  readonly part?: string | null;
  /** What was noticed elsewhere, and leads here. */
  readonly sign?: string | null;
  readonly busy: boolean;
  readonly title: string;
  readonly action: string;
  readonly onBegin: (noticed: readonly SignId[]) => void;
};

/** What leads here comes first, for it is said already. */
const beginningWith = (given: Noticeable | undefined, signs: readonly Noticeable[]): readonly Noticeable[] =>
  given === undefined ? signs : [given, ...signs.filter((one) => one !== given)];

/** Say what you notice: in your own words, or by touch. */
export function StartInterview({ page, part = null, sign = null, busy, title, action, onBegin }: StartInterviewProps) {
  const given = page.noticeable.find((one) => one.sign === sign);
  const [everywhere, setEverywhere] = useState(false);
  const onPart = page.noticeable.filter((one) => part !== null && one.part === part);
  const isThere = onPart.length > 0 && !everywhere;
  const [typed, setTyped] = useState('');
  const [sense, setSense] = useState<Sense>(given?.sense ?? 'hear');
  const [chosen, setChosen] = useState<readonly SignId[]>(given ? [given.sign] : []);
  const found = findSigns(page.noticeable, typed).slice(0, 6);
  const isTyping = typed.trim() !== '';
  const byTouch = isThere
    ? onPart
    : page.noticeable.filter((one) => chosen.includes(one.sign) || (one.sort === 'complaint' && one.sense === sense));
  const signs = isTyping ? found : beginningWith(given, byTouch);
  const toggle = (sign: SignId) =>
    setChosen(chosen.includes(sign) ? chosen.filter((one) => one !== sign) : [...chosen, sign]);
  return (
    <Compartment title={title}>
      <Grid gap={2}>
        <TextField
          label="In your own words"
          placeholder="squeaks, gurgles, sticks …"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
        />
        {!isTyping && isThere && (
          <Button color="inherit" onClick={() => setEverywhere(true)} sx={{ justifySelf: 'start' }}>
            Not only on the {onPart[0]?.partName?.toLowerCase()}: show everything
          </Button>
        )}
        {!isTyping && !isThere && (
          <ChooseOne label="How do you notice it?" options={SENSES} value={sense} onChange={setSense} />
        )}
        {isTyping && found.length === 0 && (
          <Typography color="text.secondary">
            Nothing on this instrument goes by these words. Try another word, or choose below by hearing, feeling or
            seeing.
          </Typography>
        )}
        <BrassButton
          disabled={busy || chosen.length === 0}
          onClick={() => {
            onBegin(chosen);
            setChosen([]);
            setTyped('');
          }}
          // In sight, however many signs there are.
          sx={{ minHeight: 56, position: 'sticky', top: 8, zIndex: 1 }}
        >
          {action}
        </BrassButton>
        <SignChoice signs={signs} chosen={chosen} onToggle={toggle} />
      </Grid>
    </Compartment>
  );
}
