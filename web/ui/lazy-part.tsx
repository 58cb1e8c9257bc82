import { lazy, Suspense, type ComponentType } from 'react';

/**
 * A part that comes when it is first shown: what a page needs only after a tap is no burden to its first view.
 *
 * @returns the part, and what fetches it ahead
 */
export function lazyPart<Props extends object>(load: () => Promise<ComponentType<Props>>) {
  const Later = lazy(async () => ({ default: await load() }));
  const Part = (props: Props) => (
    <Suspense fallback={null}>
      <Later {...props} />
    </Suspense>
  );
  return [Part, load] as const;
}
