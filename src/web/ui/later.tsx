import { type ComponentType, lazy, type ReactNode, Suspense, useCallback, useEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import styles from './ui.module.css';

/** A part that was asked for and did not come: there is no signal, or the server is away. */
class DidNotCome extends Error {}

/**
 * A part that comes after what stands around it. Until it is there, something small stands in its place, and nothing else
 * waits for it. Where it does not come, that is said in its place; it is asked for again and again until it is there, and
 * what stands around it stays as it is.
 * @param toCome what stands in its place meanwhile; nothing unless said otherwise
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  toCome: (props: P) => ReactNode = () => null,
): ComponentType<P> {
  const asked = () =>
    lazy<ComponentType<P>>(async () => ({
      default: await load().catch((error: unknown) => {
        throw new DidNotCome('This part did not come.', { cause: error });
      }),
    }));
  // One for all places that show it; what failed once would fail for ever, so another takes its place.
  let part = asked();
  return function Later(props: P) {
    const [Part, setPart] = useState(() => part);
    const again = useCallback(() => {
      part = asked();
      setPart(part);
    }, []);
    return (
      <ErrorBoundary
        resetKeys={[Part]}
        fallbackRender={({ error }) => {
          // What fails in the part itself is told where such things are.
          if (!(error instanceof DidNotCome)) throw error;
          return <ToComeYet load={load} onCome={again} />;
        }}
      >
        <Suspense fallback={toCome(props)}>
          <Part {...props} />
        </Suspense>
      </ErrorBoundary>
    );
  };
}

/** It is asked for again after so long, ms. */
const AGAIN_MS = 1000;

function ToComeYet(props: { load: () => Promise<unknown>; onCome: () => void }) {
  const { load, onCome } = props;
  useEffect(() => {
    let isShown = true;
    const timer = setInterval(
      () =>
        void load().then(
          () => isShown && onCome(),
          () => undefined,
        ),
      AGAIN_MS,
    );
    return () => {
      isShown = false;
      clearInterval(timer);
    };
  }, [load, onCome]);
  return (
    <span role="status" className={styles.toCome}>
      This part did not come. It comes as soon as there is a connection.
    </span>
  );
}
