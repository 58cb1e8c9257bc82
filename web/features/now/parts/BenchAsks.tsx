import { Button } from '@mui/material';
import { Link } from 'react-router';
import type { InstrumentPage } from '#contract/care.ts';
import { Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type Asked = NonNullable<InstrumentPage['benchAsks']>;

const WAYS: Readonly<Record<Asked['what'], readonly [path: string, words: string]>> = {
  pack: ['/pack', 'Pack it'],
  fetch: ['', 'See it'],
  measure: ['', 'Measure'],
};

/** What an instrument asks of the room of the bench, with the way there. */
export function BenchAsks({ page: { instrument, benchAsks } }: { readonly page: InstrumentPage }) {
  if (benchAsks === null) return null;
  const [path, words] = WAYS[benchAsks.what];
  return (
    <Space above={2} wide>
      <Row between align="center" gap={1.5}>
        <Text>{benchAsks.words}.</Text>
        <Button variant="outlined" color="inherit" component={Link} to={`/bench/${instrument.id}${path}`}>
          {words}
        </Button>
      </Row>
    </Space>
  );
}
