import type { Explained } from '@core/kernel/explained';
import { Drawer } from 'antd';
import { type ReactNode, useState } from 'react';
import { WhyTree } from '../../app/WhyTree';
import styles from './makeover.module.css';

/** A figure that answers "why?": pressed, its sum opens at the right, line by line. */
export function Why(props: { label: string; explain: () => Explained; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" data-inline className={styles.why} onClick={() => setOpen(true)}>
        {props.children}
        <span className="visually-hidden">, why: {props.label}</span>
      </button>
      <Drawer open={open} onClose={() => setOpen(false)} title={`Why: ${props.label}`} size={380} destroyOnHidden>
        {open && <WhyTree tree={props.explain()} />}
      </Drawer>
    </>
  );
}
