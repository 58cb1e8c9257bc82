import type { ReactNode } from 'react';
import { Row } from '#web/ui/layout.tsx';

/** What can be done, side by side as far as there is room. */
export const Actions = ({ children }: { readonly children: ReactNode }) => (
  <Row gap={0.75} wrap align="center">
    {children}
  </Row>
);
