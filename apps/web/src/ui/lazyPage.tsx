import { type ComponentType, Suspense, lazy } from 'react';

/** A page whose code comes when it is asked for: pages that share much load as one, and nobody else loads it. */
export function lazyPage(load: () => Promise<ComponentType>): ComponentType {
  const Page = lazy(async () => ({ default: await load() }));
  return function LazyPage() {
    return (
      <Suspense fallback={null}>
        <Page />
      </Suspense>
    );
  };
}
