import { CssBaseline, ThemeProvider } from '@mui/material';
import { QueryClientProvider } from '@tanstack/react-query';
import { RouterProvider } from 'react-router/dom';
import { NoticeProvider } from '#web/ui/Notice.tsx';
import { queryClient } from '#web/app/query-client.ts';
import { router } from '#web/app/routes.tsx';
import { theme } from '#web/theme/theme.ts';

export function App() {
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <CssBaseline />
      <QueryClientProvider client={queryClient}>
        <NoticeProvider>
          <RouterProvider router={router} />
        </NoticeProvider>
      </QueryClientProvider>
    </ThemeProvider>
  );
}
