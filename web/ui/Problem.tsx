import { Box, Typography } from '@mui/material';
import { Link } from 'react-router';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Space } from '#web/ui/layout.tsx';

type ProblemProps = { readonly title: string; readonly text: string; readonly to: string; readonly action: string };

/** A page that has nothing to show says what it is and where to go on. */
export function Problem({ title, text, to, action }: ProblemProps) {
  return (
    <Space width={640} above={4}>
      <Compartment>
        <Typography variant="h1" gutterBottom>
          {title}
        </Typography>
        <Text below={3}>{text}</Text>
        <Box>
          <BrassButton {...{ component: Link, to }}>{action}</BrassButton>
        </Box>
      </Compartment>
    </Space>
  );
}

/** For an address that names an instrument the record does not hold. */
export const NOT_ON_THIS_SHELF = (
  <Problem title="Not on this shelf" text="The record holds no such instrument." to="/now" action="See the shelf" />
);
