import { Table, TableBody, TableCell, TableContainer, TableHead, TableRow, Typography } from '@mui/material';
import type { ReedsOfKindView } from '#contract/reed-views.ts';

const NOT_KNOWN = 'not known yet';

/** Which make to buy again: what the reeds of each have come to. */
export function Makes({ makes }: Pick<ReedsOfKindView, 'makes'>) {
  return (
    <TableContainer>
      <Table size="small" aria-label="Which make again">
        <TableHead>
          <TableRow>
            <TableCell>Make</TableCell>
            <TableCell>Concert grade</TableCell>
            <TableCell>Life</TableCell>
            <TableCell>A good hour</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {makes.map(({ name, seen, concert, life, goodHour }) => (
            <TableRow key={name}>
              <TableCell component="th" scope="row">
                {name}
                <Typography variant="body2" color="text.secondary">
                  {seen}
                </Typography>
              </TableCell>
              <TableCell>{concert ?? NOT_KNOWN}</TableCell>
              <TableCell>{life ?? NOT_KNOWN}</TableCell>
              <TableCell>{goodHour ?? NOT_KNOWN}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
