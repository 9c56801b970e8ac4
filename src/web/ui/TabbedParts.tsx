import { type KeyboardEvent, type ReactNode, Suspense, useEffect, useId, useRef } from 'react';
import { arrowWay } from './arrowWay';
import styles from './ui.module.css';

/** One part of a page that is shown by itself. */
export interface Part<Id extends string> {
  id: Id;
  name: ReactNode;
  content: () => ReactNode;
}

/**
 * Parts of a page of which one is open at a time; the others are not there meanwhile, and may be brought when opened.
 * Their names stand in one line, which is pushed along where it is longer than the screen; arrows go from one to the next.
 */
export function TabbedParts<Id extends string>(props: {
  open: Id;
  parts: readonly Part<Id>[];
  onOpen: (id: Id) => void;
}) {
  const { open, parts, onOpen } = props;
  const names = useId();
  const list = useRef<HTMLDivElement>(null);
  const part = parts.find(({ id }) => id === open);
  // The open one is brought into view, as far as the line alone can be pushed.
  useEffect(() => {
    const line = list.current;
    const tab = line?.querySelector<HTMLElement>(`[data-part="${CSS.escape(open)}"]`);
    if (!line || !tab) return;
    const isHidden =
      tab.offsetLeft < line.scrollLeft || tab.offsetLeft + tab.offsetWidth > line.scrollLeft + line.clientWidth;
    if (isHidden) line.scrollLeft = tab.offsetLeft - EDGE_PX;
  }, [open]);
  const step = (event: KeyboardEvent) => {
    const ends: Record<string, number> = { Home: 0, End: parts.length - 1 };
    const [right] = arrowWay(event.key) ?? [0];
    const at = parts.findIndex(({ id }) => id === open);
    const next = parts[ends[event.key] ?? (right === 0 ? -1 : (at + right + parts.length) % parts.length)];
    if (!next) return;
    event.preventDefault();
    onOpen(next.id);
    list.current?.querySelector<HTMLElement>(`[data-part="${CSS.escape(next.id)}"]`)?.focus();
  };
  return (
    <div>
      <div ref={list} role="tablist" className={styles.tabs} onKeyDown={step}>
        {parts.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            role="tab"
            id={`${names}-${id}`}
            data-part={id}
            aria-selected={id === open}
            aria-controls={`${names}-panel`}
            tabIndex={id === open || !part ? 0 : -1}
            onClick={() => onOpen(id)}
          >
            {name}
          </button>
        ))}
      </div>
      <div role="tabpanel" id={`${names}-panel`} aria-labelledby={part ? `${names}-${open}` : undefined}>
        <Suspense key={open} fallback={null}>
          {part?.content()}
        </Suspense>
      </div>
    </div>
  );
}

/** How much of the tab before the open one still shows, pixels. */
const EDGE_PX = 40;
