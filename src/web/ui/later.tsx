import { type ComponentType, lazy, Suspense } from 'react';

/**
 * A part that comes after what stands around it. Until it is there, nothing stands in its place, and nothing else waits
 * for it.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Part = lazy<ComponentType<P>>(async () => ({ default: await load() }));
  return function Later(props: P) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}
