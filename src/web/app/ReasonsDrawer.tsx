import type { ReactNode } from 'react';
import { later } from '../ui/later';
import { useOnce } from './useOnce';

const Drawer = later(async () => (await import('antd/es/drawer')).default);

/** Reasons that come from the right when they are asked for; the drawer itself is brought when the first ones are. */
export function ReasonsDrawer(props: { open: boolean; title: string; onClose: () => void; children: ReactNode }) {
  const { open, title, onClose } = props;
  return useOnce(open) ? (
    <Drawer open={open} onClose={onClose} title={title} size={380} destroyOnHidden>
      {props.children}
    </Drawer>
  ) : null;
}
