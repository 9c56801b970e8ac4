import { useMutation, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { api } from '../../app/api';
import { later } from '../../ui/later';
import styles from './projects.module.css';

const StudioFile = later(async () => (await import('./StudioFile')).StudioFile);

/**
 * Beside the demo a studio of one's own: begun empty with one press, and whichever is not open is one press away.
 * Nothing of a studio is lost while another is open.
 */
export function Studios(props: { isSomethingLeft: boolean }) {
  const { isSomethingLeft } = props;
  const query = useQuery({ queryKey: ['studios'], queryFn: api.studios, staleTime: 0 });
  const enter = useMutation({
    mutationFn: (studioId: string | null) => api.enterStudio(studioId),
  });
  if (!query.data) return null;
  const [open, ...others] = query.data.studios;
  if (!open) return null;
  const isEmpty = open.projects === 0 && open.pieces === 0;
  const away = isSomethingLeft || enter.isPending || enter.isSuccess;
  return (
    <section className={styles.studios} aria-label="Studios">
      <p>
        You are in <b>{open.name}</b>.{' '}
        {others.length === 0 && !isEmpty && 'For your own rooms begin with an empty one: this one stays as it is.'}
      </p>
      <ul>
        {others.map((studio) => (
          <li key={studio.id}>
            <Button disabled={away} onClick={() => enter.mutate(studio.id)}>
              Open {studio.name}
            </Button>{' '}
            <span className="muted">
              {studio.projects} {studio.projects === 1 ? 'project' : 'projects'}, {studio.pieces}{' '}
              {studio.pieces === 1 ? 'piece' : 'pieces'} in the house
            </span>
          </li>
        ))}
        {!isEmpty && (
          <li>
            <Button disabled={away} onClick={() => enter.mutate(null)}>
              Begin empty
            </Button>{' '}
            <span className="muted">no projects, nothing in the house</span>
          </li>
        )}
      </ul>
      <StudioFile isAway={away} />
      {isSomethingLeft && <p className="muted">What is not sent yet goes first; then another studio can be opened.</p>}
      {enter.isError && <p role="alert">{enter.error.message}</p>}
    </section>
  );
}
