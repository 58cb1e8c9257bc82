import { Box, Button, Collapse, Typography } from '@mui/material';
import { useId, useState, type ReactNode } from 'react';
import type { Mark } from '#core/explain/explained.ts';
import { MARK_WORDS } from '#core/explain/mark-words.ts';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Beside } from '#web/ui/Beside.tsx';

export type WhyLineView = { readonly rule: string; readonly text: string; readonly mark: Mark };
type WhyFoldProps = {
  readonly lines: readonly WhyLineView[];
  readonly about: string;
  /** What the fold is called; "Why" unless it says something else. */
  readonly label?: string;
  /** What the reasons are of, on the same line. */ readonly children?: ReactNode;
};

type WhyButtonProps = Pick<WhyFoldProps, 'about' | 'label'> & {
  readonly open: boolean;
  readonly controls: string;
  readonly onToggle: () => void;
};

const WhyButton = ({ about, label = 'Why', open, controls, onToggle }: WhyButtonProps) => (
  <Button
    size="small"
    color="inherit"
    onClick={onToggle}
    aria-expanded={open}
    aria-controls={controls}
    aria-label={`${label}: ${about}`}
    sx={{
      px: 1,
      py: 0,
      minWidth: 44,
      minHeight: 44,
      // As tall as a finger is wide, and no taller a row for it.
      my: -1.25,
      backgroundColor: 'transparent',
      verticalAlign: 'baseline',
      textDecoration: 'underline',
      textUnderlineOffset: 3,
      fontSize: '0.9375rem',
      color: 'text.secondary',
    }}
  >
    {label}
  </Button>
);

const WhyLines = ({ lines }: Pick<WhyFoldProps, 'lines'>) => (
  <Space above={0.5} below={1}>
    <PlainList gap={0.75}>
      {lines.map(({ rule, text, mark }, index) => (
        <Beside key={`${rule}-${index}`}>
          <Typography component="span" variant="body2">
            {text}{' '}
            <Box component="span" sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
              — {MARK_WORDS[mark]}
            </Box>
          </Typography>
        </Beside>
      ))}
    </PlainList>
  </Space>
);

/** The button of a fold and the fold itself, for a row that has a place for each: the fold lies under the whole row. */
export function useWhyFold({ lines, about, label }: Omit<WhyFoldProps, 'children'>): {
  readonly button: ReactNode;
  readonly fold: ReactNode;
} {
  const [open, setOpen] = useState(false);
  const id = useId();
  return {
    button: (
      <WhyButton
        about={about}
        {...(label === undefined ? {} : { label })}
        open={open}
        controls={id}
        onToggle={() => setOpen(!open)}
      />
    ),
    fold: (
      <Collapse in={open} id={id} unmountOnExit sx={{ gridColumn: '1 / -1' }}>
        <WhyLines lines={lines} />
      </Collapse>
    ),
  };
}

/** The reasons of a number, folded: each line says what kind of knowledge it rests on. Composes none itself. */
export function WhyFold({ children, ...why }: WhyFoldProps) {
  const { button, fold } = useWhyFold(why);
  return (
    <Box>
      {children}
      {button}
      {fold}
    </Box>
  );
}
