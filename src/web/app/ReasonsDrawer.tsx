import { lazy, type ReactNode, Suspense } from 'react';
import { useOnce } from './useOnce';

const Drawer = lazy(() => import('antd/es/drawer'));

/** Reasons that come from the right when they are asked for; the drawer itself is brought when the first ones are. */
export function ReasonsDrawer(props: { open: boolean; title: string; onClose: () => void; children: ReactNode }) {
  const { open, title, onClose } = props;
  return useOnce(open) ? (
    <Suspense fallback={null}>
      <Drawer open={open} onClose={onClose} title={title} size={380} destroyOnHidden>
        {props.children}
      </Drawer>
    </Suspense>
  ) : null;
}
