import { Alert, Button, Skeleton, Stack } from '@mui/material';
import type { ReactNode } from 'react';

export type QueryLike<T> = {
  readonly data: T | undefined;
  readonly isError: boolean;
  readonly error: Error | null;
  readonly refetch: () => unknown;
};
type QueryViewProps<T> = {
  readonly query: QueryLike<T>;
  readonly height?: number;
  /** Shown where the record holds no such thing. */
  readonly missing?: ReactNode;
  readonly children: (data: T) => ReactNode;
};

const isNotFound = (error: Error | null): boolean => error !== null && 'code' in error && error.code === 'not-found';

/** What stands where an answer is still to come, as high as it will be. */
export const Loading = ({ height }: { readonly height: number }) => (
  <Skeleton variant="rounded" height={height} role="status" aria-label="Loading" />
);

/** The states every answer owes its reader: waiting, failed, not in the record, there, and there but not refreshed. */
export function QueryView<T>({ query, height = 240, missing, children }: QueryViewProps<T>) {
  if (missing !== undefined && isNotFound(query.error)) return <>{missing}</>;
  const again = (
    <Button color="inherit" onClick={() => void query.refetch()}>
      Try again
    </Button>
  );
  if (query.data === undefined) {
    if (query.isError)
      return (
        <Alert severity="error" action={again}>
          {query.error?.message}
        </Alert>
      );
    return <Loading height={height} />;
  }
  if (!query.isError) return <>{children(query.data)}</>;
  return (
    <Stack spacing={2}>
      <Alert severity="warning" action={again}>
        Shown as last seen. {query.error?.message}
      </Alert>
      {children(query.data)}
    </Stack>
  );
}
