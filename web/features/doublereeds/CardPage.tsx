import { Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { CardView } from '#contract/doublereeds.ts';
import { centsWords } from '#core/doublereeds/table-words.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { doubleReedQueries } from '#web/features/doublereeds/doublereeds.queries.ts';
import { LifeLine } from '#web/features/doublereeds/parts/LifeLine.tsx';
import { tablePath, useReedId } from '#web/session/reed-paths.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { Actions } from '#web/ui/Actions.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Label } from '#web/ui/Label.tsx';
import { Space } from '#web/ui/layout.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';
import { Text } from '#web/ui/Text.tsx';

function Card({ card }: { readonly card: CardView }) {
  const instrumentId = useInstrumentId();
  const { name, kindName, playerName, label, line, pitch } = card;
  return (
    <Space width={760}>
      <Space data-not-printed below={2}>
        <Actions>
          <BrassButton onClick={() => window.print()}>Print its label</BrassButton>
          <TallLink to={tablePath(instrumentId, card.reedId)}>Back to the table</TallLink>
        </Actions>
      </Space>
      <Label lines={[...label, playerName]} />
      <Space data-not-printed above={3}>
        <Typography variant="h1">{name}</Typography>
        <Typography color="text.secondary">{kindName}</Typography>
        <LifeLine line={line} />
        <PlainList>
          {line.map(({ on, words }, at) => (
            <PlainRow key={at}>
              <Typography>
                {words} <Quiet>{FORMAT.weekdayDate(on)}</Quiet>
              </Typography>
            </PlainRow>
          ))}
        </PlainList>
        {pitch.length > 0 && (
          <Text above={1}>
            Its pitch as it was read:{' '}
            {pitch.map(({ on, cents }) => `${FORMAT.shortDate(on)} ${centsWords(cents)}`).join(' · ')}
          </Text>
        )}
      </Space>
    </Space>
  );
}

/** A reed's life on one line, and its label for the reed case. */
export function CardPage() {
  const query = useQuery(doubleReedQueries.card(useReedId(), useToday()));
  return (
    <QueryView query={query} height={360}>
      {(card) => <Card card={card} />}
    </QueryView>
  );
}
