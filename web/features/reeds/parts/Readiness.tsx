import { Box, MenuItem, TextField, Typography } from '@mui/material';
import type { LocalDate } from '#core/time/local-date.ts';
import type { ReadinessView } from '#contract/reed-views.ts';
import { DateField } from '#web/ui/DateField.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Grid } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

export type Asked = { readonly on: LocalDate | null; readonly wanted: number };
type ReadinessProps = {
  readonly asked: Asked;
  readonly onAsk: (asked: Asked) => void;
  /** Null while it is worked out, or nothing is asked. */
  readonly ready: ReadinessView | null;
};

const MOST_WANTED = 9;
/** Rows of the table that are shown. */
const ROWS = 11;
const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A day and how many concert reeds → how many to open, with the table to check it by. */
export function Readiness({ asked, onAsk, ready }: ReadinessProps) {
  return (
    <>
      <Grid gap={1.5} columns="1fr 1fr" below={1.5}>
        <DateField label="Day of the concert" value={asked.on} onChange={(on) => onAsk({ ...asked, on })} />
        <TextField
          select
          label="Concert reeds"
          value={asked.wanted}
          onChange={({ target }) => onAsk({ ...asked, wanted: Number(target.value) })}
        >
          {Array.from({ length: MOST_WANTED }, (_, index) => (
            <MenuItem key={index} value={index + 1}>
              {index + 1}
            </MenuItem>
          ))}
        </TextField>
      </Grid>
      {ready ? (
        <>
          <WhyFold lines={ready.because} about="how many reeds to open">
            <Text component="span" strong>
              {ready.words}
            </Text>
          </WhyFold>
          {ready.table.length > 1 && (
            <Box
              component="table"
              aria-label="Chance by the number of reeds opened"
              sx={{
                mt: 1,
                borderCollapse: 'collapse',
                '& th, & td': { textAlign: 'right', px: 1.25, py: 0.25 },
                '& th': { fontWeight: 500, color: 'text.secondary' },
              }}
            >
              <tbody>
                <tr>
                  <th scope="row">Open</th>
                  {ready.table.slice(0, ROWS).map(({ opened }) => (
                    <td key={opened}>{opened}</td>
                  ))}
                </tr>
                <tr>
                  <th scope="row">Chance</th>
                  {ready.table.slice(0, ROWS).map(({ opened, chance }) => (
                    <td key={opened}>{percent(chance)}</td>
                  ))}
                </tr>
              </tbody>
            </Box>
          )}
        </>
      ) : (
        <Typography color="text.secondary">Say the day, and Ulu says how many reeds to open and by when.</Typography>
      )}
    </>
  );
}
