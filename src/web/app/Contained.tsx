import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useLocation } from 'react-router';
import { WentWrong } from './WentWrong';

/** A part of the page that says so where it fails, with a way back; what stands around it stays. Another page begins anew. */
export function Contained(props: { children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary
      resetKeys={[pathname]}
      fallbackRender={({ error }) => (
        <WentWrong message={error instanceof Error ? error.message : 'It cannot be said what.'} />
      )}
    >
      {props.children}
    </ErrorBoundary>
  );
}
