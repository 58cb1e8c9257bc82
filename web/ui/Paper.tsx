import { Box, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import { Space } from '#web/ui/layout.tsx';

/** A part of a printed page under its own line. */
export const PaperPart = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <Space component="section" above={2}>
    <Typography variant="h2" sx={{ borderBottom: '1.5px solid', borderColor: 'text.primary', pb: 0.25, mb: 0.75 }}>
      {title}
    </Typography>
    {children}
  </Space>
);

type PaperLinesProps = {
  readonly lines: readonly ReactNode[];
  readonly ordered?: true;
  /** In one column: each is as long as it likes. */
  readonly long?: true;
};

/** Lines of a part in two columns, numbered where their order matters. */
export const PaperLines = ({ lines, ordered, long }: PaperLinesProps) => (
  <Box component={ordered ? 'ol' : 'ul'} sx={{ m: 0, pl: 3, columns: long ? {} : { sm: 2 }, columnGap: 4 }}>
    {lines.map((line, at) => (
      <Typography component="li" key={at}>
        {line}
      </Typography>
    ))}
  </Box>
);
