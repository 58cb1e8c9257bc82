import { Box } from '@mui/material';

/** Not drawn, but read aloud: what a drawing shows, for those who hear the page. */
export const HeardOnly = ({ children }: { readonly children: React.ReactNode }) => (
  <Box sx={{ position: 'relative' }}>
    <Box
      sx={{
        position: 'absolute',
        top: 0,
        left: 0,
        width: '1px',
        height: '1px',
        overflow: 'hidden',
        clipPath: 'inset(50%)',
      }}
    >
      {children}
    </Box>
  </Box>
);
