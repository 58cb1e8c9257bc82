import { Alert, Box } from '@mui/material';
import type { IncomingView } from '#contract/data.ts';
import { Space } from '#web/ui/layout.tsx';

type ProblemLinesProps = {
  readonly problems: IncomingView['problems'];
  /** They are counted as rows of a table. */
  readonly rows: boolean;
  /** What follows from them. */
  readonly then: string;
};

/** What is wrong with a file, by its place in it. */
export const ProblemLines = ({ problems, rows, then }: ProblemLinesProps) =>
  problems.length === 0 ? null : (
    <Alert severity="error">
      {problems.map(({ at, words }, index) => (
        <Space key={index}>
          {at !== null && `${rows ? 'Row' : 'Entry'} ${at}: `}
          {words}
        </Space>
      ))}
      <Box>{then}</Box>
    </Alert>
  );
