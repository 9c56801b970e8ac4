import type { Explained } from '@core/kernel/explained';
import { type ReactNode, useState } from 'react';
import { ReasonsDrawer } from '../../app/ReasonsDrawer';
import { later } from '../../ui/later';
import styles from './makeover.module.css';

const WhyTree = later(async () => (await import('../../app/WhyTree')).WhyTree);

/** A figure that answers "why?": pressed, its sum opens at the right, line by line. */
export function Why(props: { label: string; explain: () => Explained; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" data-inline className={styles.why} onClick={() => setOpen(true)}>
        {props.children}
        <span className="visually-hidden">, why: {props.label}</span>
      </button>
      <ReasonsDrawer open={open} onClose={() => setOpen(false)} title={`Why: ${props.label}`}>
        {open && <WhyTree tree={props.explain()} />}
      </ReasonsDrawer>
    </>
  );
}
