import { Box, Typography } from '@mui/material';

/** A small label as it is cut out and stuck on: the first line is what it is called. */
export const Label = ({ lines }: { readonly lines: readonly string[] }) => (
  <Box
    sx={{
      border: '1.5px dashed',
      borderColor: 'text.primary',
      borderRadius: 1,
      p: 1.5,
      width: 240,
      maxWidth: '100%',
    }}
  >
    {lines.map((line, at) => (
      <Typography key={line} variant={at === 0 ? 'subtitle1' : 'body2'}>
        {line}
      </Typography>
    ))}
  </Box>
);
