import { Box, Typography } from '@mui/material';
import type { ReedsOfKindView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';
import { HeardOnly } from '#web/ui/HeardOnly.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Text } from '#web/ui/Text.tsx';

const [CostChart] = lazyPart(async () => (await import('#web/features/reeds/parts/CostChart.tsx')).CostChart, 158);

type SupplyProps = { readonly supply: ReedsOfKindView['supply']; readonly currency: string | null };

/** When to buy the next box, and what reeds cost: in words, and month by month. */
export function Supply({ supply: { words, costWords, because, spent }, currency }: SupplyProps) {
  return (
    <>
      <Typography>{words}</Typography>
      {costWords && <Text above={1}>{costWords}</Text>}
      <WhyFold lines={because} about="the supply of reeds" />
      {spent.length > 0 && currency !== null && (
        <Box>
          <Text variant="body2" color="text.secondary" above={1}>
            Boxes of the last twelve months, in {currency}
          </Text>
          <HeardOnly>
            <table>
              <caption>Spent on boxes</caption>
              <tbody>
                {spent.map(({ from, words: amount }) => (
                  <tr key={from}>
                    <th scope="row">{FORMAT.month(from)}</th>
                    <td>{amount}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </HeardOnly>
          <CostChart spent={spent} currency={currency} />
        </Box>
      )}
    </>
  );
}
