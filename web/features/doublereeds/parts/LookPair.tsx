import { Typography } from '@mui/material';
import type { ReactNode } from 'react';
import type { Look } from '#core/doublereeds/examination.ts';
import { FlatReed, TipReed, type Shape } from '#web/features/doublereeds/parts/ReedFigure.tsx';
import { Grid, Space } from '#web/ui/layout.tsx';

/** Looks that have a pair of drawings: how it should be, beside how it should not. */
export type DrawnLook = Exclude<Look, 'leak' | 'lips'>;
export const isDrawn = (look: Look): look is DrawnLook => look !== 'leak' && look !== 'lips';

type Pair = {
  readonly right: ReactNode;
  readonly wrong: ReactNode;
  readonly rightWords: string;
  readonly wrongWords: string;
};

const pairOf = (look: DrawnLook, shape: Shape): Pair => {
  switch (look) {
    case 'light':
      return {
        right: <FlatReed shape={shape} />,
        wrong: <FlatReed shape={shape} cracked />,
        rightWords: 'whole',
        wrongWords: 'cracked',
      };
    case 'corners':
      return {
        right: <FlatReed shape={shape} />,
        wrong: <FlatReed shape={shape} cornerGone />,
        rightWords: 'both corners there',
        wrongWords: 'a corner gone',
      };
    case 'heart':
      return {
        right: <FlatReed shape={shape} />,
        wrong: <FlatReed shape={shape} noHeart />,
        rightWords: 'a heart below the pale tip',
        wrongWords: 'no heart',
      };
    case 'offset':
      return {
        right: <TipReed shape={shape} opening={8} aside={8} />,
        wrong: <TipReed shape={shape} opening={8} />,
        rightWords: 'one lies a trace inside the other',
        wrongWords: 'edges exactly together',
      };
    case 'opening':
      return {
        right: <TipReed shape={shape} opening={8} />,
        wrong: (
          <>
            <g transform="translate(0,-48)">
              <TipReed shape={shape} opening={26} />
            </g>
            <g transform="translate(0,58)">
              <TipReed shape={shape} opening={1.5} />
            </g>
          </>
        ),
        rightWords: 'a flat, slim lens',
        wrongWords: 'gaping, and shut',
      };
  }
};

const Drawn = ({ words, children }: { readonly words: string; readonly children: ReactNode }) => (
  <svg viewBox="0 0 120 200" width="100%" height={220} role="img" aria-label={words}>
    {children}
  </svg>
);

/** Right beside wrong, large enough to be read from a stand. */
export function LookPair({ look, shape }: { readonly look: DrawnLook; readonly shape: Shape }) {
  const { right, wrong, rightWords, wrongWords } = pairOf(look, shape);
  return (
    <Grid columns="1fr 1fr" gap={2} above={1}>
      {[
        { head: 'Right', words: rightWords, drawing: right },
        { head: 'Wrong', words: wrongWords, drawing: wrong },
      ].map(({ head, words, drawing }) => (
        <Space key={head}>
          <Drawn words={`${head}: ${words}`}>{drawing}</Drawn>
          <Typography align="center" aria-hidden>
            <strong>{head}</strong>: {words}
          </Typography>
        </Space>
      ))}
    </Grid>
  );
}
