import { mdiAlert, mdiCheckBold, mdiCloseThick, mdiHelp, mdiScaleBalance } from '@mdi/js';
import { Box, Button, MenuItem, TextField, Typography } from '@mui/material';
import { Fragment, useState } from 'react';
import { Link } from 'react-router';
import { MARK_WORDS } from '#core/explain/mark-words.ts';
import type { VerdictsView } from '#contract/agents.ts';
import { alike, type Alike, type Part } from '#web/features/agents/alike.ts';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Icon } from '#web/ui/Icon.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Caution } from '#web/ui/Caution.tsx';

/** Shape and word, never colour alone. */
const VERDICT_WORDS = {
  no: { words: 'No', icon: mdiCloseThick },
  care: { words: 'With care', icon: mdiAlert },
  'by-method': { words: 'Practice differs', icon: mdiScaleBalance },
  yes: { words: 'Yes', icon: mdiCheckBold },
  'not-known': { words: 'Not known', icon: mdiHelp },
} as const satisfies Record<Part['verdict'], { words: string; icon: string }>;

function AlikeRow({ of: { parts, verdict, why, mark } }: { readonly of: Alike }) {
  const { words, icon } = VERDICT_WORDS[verdict];
  return (
    <PlainRow columns={{ xs: '28px 1fr', sm: '28px 132px 1fr' }} align="baseline">
      <Icon
        path={icon}
        fontSize="small"
        sx={{ color: verdict === 'no' ? 'stop.main' : 'text.primary', alignSelf: 'start', mt: 0.25 }}
      />
      <Text strong ink={verdict === 'no' ? 'stop.ink' : 'text.primary'}>
        {words}
      </Text>
      <Box sx={{ gridColumn: { xs: 2, sm: 3 } }}>
        <Text strong>
          {parts.map(({ name, material }, index) => (
            <Fragment key={`${name} ${material ?? ''}`}>
              {index > 0 && ' · '}
              {name}
              {material && <Quiet> ({material.replaceAll('-', ' ')})</Quiet>}
            </Fragment>
          ))}
        </Text>
        <Typography variant="body2" color="text.secondary">
          {why}
          {verdict !== 'not-known' && ` (${MARK_WORDS[mark]})`}
        </Typography>
      </Box>
    </PlainRow>
  );
}

/** The answer for every part, what is refused first. */
export function Verdicts({ view }: { readonly view: VerdictsView }) {
  const [chosen, setChosen] = useState('');
  const names = [...new Set(view.parts.map(({ name }) => name))];
  // Another agent or instrument may not have the part asked about before.
  const only = names.includes(chosen) ? chosen : '';
  const answers = alike(view.parts.filter(({ name }) => only === '' || name === only));
  return (
    <>
      {view.cautions.length > 0 && (
        <Caution below={2}>
          {view.cautions.map((caution) => (
            <Box key={caution}>{caution}</Box>
          ))}
        </Caution>
      )}
      {names.length > 1 && (
        <TextField
          select
          size="small"
          label="On which part?"
          value={only}
          onChange={({ target }) => setChosen(target.value)}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          sx={{ minWidth: 220, mb: 1 }}
        >
          <MenuItem value="">Every part</MenuItem>
          {names.map((name) => (
            <MenuItem key={name} value={name}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      <PlainList>
        {answers.map((answer) => (
          <AlikeRow key={`${answer.verdict} ${answer.why}`} of={answer} />
        ))}
      </PlainList>
      {view.instrumentId !== null && (
        <Space above={1}>
          <Button {...{ component: Link, to: `/care/${view.instrumentId}/methods` }} color="inherit">
            Where practice differs: your methods
          </Button>
        </Space>
      )}
      <Text variant="body2" color="text.secondary" above={1.5}>
        {view.instrumentId === null && 'What is not listed is not known: ask the maker or the bench. '}The product’s
        label, the maker’s leaflet and the bench overrule all of this.
      </Text>
    </>
  );
}
