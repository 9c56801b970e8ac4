import { Tabs } from 'antd';
import { type ReactNode, Suspense } from 'react';
import styles from './ui.module.css';

/** One part of a page that is shown by itself. */
export interface Part<Id extends string> {
  id: Id;
  name: ReactNode;
  content: () => ReactNode;
}

/** Parts of a page of which one is open at a time; the others are not there meanwhile, and may be brought when opened. */
export function TabbedParts<Id extends string>(props: {
  open: Id;
  parts: readonly Part<Id>[];
  onOpen: (id: Id) => void;
}) {
  const isOpen = (part: Part<Id>) => part.id === props.open;
  return (
    <Tabs
      className={styles.tabbed ?? ''}
      activeKey={props.open}
      onChange={(id) => {
        const part = props.parts.find((entry) => entry.id === id);
        if (part) props.onOpen(part.id);
      }}
      destroyOnHidden
      animated={false}
      items={props.parts.map((part) => ({
        key: part.id,
        label: part.name,
        children: isOpen(part) ? <Suspense fallback={null}>{part.content()}</Suspense> : null,
      }))}
    />
  );
}
