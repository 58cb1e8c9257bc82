import { Box, Button, Collapse, Typography } from '@mui/material';
import { useId, useState, type ReactNode } from 'react';
import type { Mark } from '#core/explain/explained.ts';
import { MARK_WORDS } from '#core/explain/mark-words.ts';
import { PlainList } from '#web/ui/PlainList.tsx';

export type WhyLineView = { readonly rule: string; readonly text: string; readonly mark: Mark };
type WhyFoldProps = {
  readonly lines: readonly WhyLineView[];
  readonly about: string;
  /** What the fold is called; "Why" unless it says something else. */
  readonly label?: string;
  /** What the reasons are of, on the same line. */ readonly children?: ReactNode;
};

/** The reasons of a number, folded: each line says what kind of knowledge it rests on. Composes none itself. */
export function WhyFold({ lines, about, label = 'Why', children }: WhyFoldProps) {
  const [open, setOpen] = useState(false);
  const id = useId();
  return (
    <Box>
      {children}
      <Button
        size="small"
        color="inherit"
        onClick={() => setOpen(!open)}
        aria-expanded={open}
        aria-controls={id}
        aria-label={`${label}: ${about}`}
        sx={{
          px: 1,
          py: 0,
          minWidth: 44,
          minHeight: 32,
          verticalAlign: 'baseline',
          textDecoration: 'underline',
          textUnderlineOffset: 3,
          fontSize: '0.9375rem',
          color: 'text.secondary',
        }}
      >
        {label}
      </Button>
      <Collapse in={open} id={id} unmountOnExit>
        <PlainList gap={0.75} sx={{ mt: 0.5, mb: 1 }}>
          {lines.map(({ rule, text, mark }, index) => (
            <Typography
              component="li"
              variant="body2"
              key={`${rule}-${index}`}
              sx={{ borderLeft: '3px solid', borderColor: 'divider', pl: 1.25 }}
            >
              {text}{' '}
              <Box component="span" sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
                — {MARK_WORDS[mark]}
              </Box>
            </Typography>
          ))}
        </PlainList>
      </Collapse>
    </Box>
  );
}
