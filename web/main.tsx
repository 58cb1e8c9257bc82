import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { followOtherTabs } from '#web/api/record-changes.ts';
import { App } from '#web/app/App.tsx';
import { queryClient } from '#web/app/query-client.ts';

followOtherTabs(queryClient);
const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
