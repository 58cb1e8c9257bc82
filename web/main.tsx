import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { followOtherTabs } from '#web/api/record-changes.ts';
import { App } from '#web/app/App.tsx';
import { queryClient } from '#web/app/query-client.ts';
import { settings } from '#web/session/settings.ts';

followOtherTabs(queryClient);
// Every size is told in the letters of the page.
document.documentElement.dataset['text'] = settings().textSize;
const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
