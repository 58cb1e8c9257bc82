import { lazy, Suspense, type ComponentType } from 'react';
import { Space } from '#web/ui/layout.tsx';

/**
 * A part that comes when it is first shown: what a page needs only after a tap is no burden to its first view.
 *
 * @param height what it will take, px: the page has that room until it is there, so that nothing jumps from under a finger
 * @returns the part, and what fetches it ahead
 */
export function lazyPart<Props extends object>(load: () => Promise<ComponentType<Props>>, height?: number) {
  const Later = lazy(async () => ({ default: await load() }));
  const Part = (props: Props) => (
    <Suspense fallback={height === undefined ? null : <Space height={height} />}>
      <Later {...props} />
    </Suspense>
  );
  return [Part, load] as const;
}
