import { Typography } from '@mui/material';
import type { ReactNode } from 'react';
import type { ShelfPlace } from '#contract/instruments.ts';
import { Silhouette } from '#web/ui/Silhouette.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Grow, Row } from '#web/ui/layout.tsx';

/** An instrument of the shelf in a list: what stands before it, its name and kind, what can be done with it. */
export const PlaceRow = ({
  place: { name, kind, kindName },
  before,
  children,
}: {
  readonly place: ShelfPlace;
  readonly before?: ReactNode;
  readonly children: ReactNode;
}) => (
  <Row gap={1.5} align="center">
    {before}
    <Silhouette kind={kind} size={44} />
    <Grow>
      <Text strong>{name}</Text>
      <Typography variant="body2" color="text.secondary">
        {kindName}
      </Typography>
    </Grow>
    {children}
  </Row>
);
