import type { StepRunRow } from '@core/model/rows';
import { Button } from 'antd';
import { usePhotoQueue } from '../../app/photoQueue';
import { useCommands, useRows } from '../../app/projectStore';
import { PhotoQueueDrop } from '../../ui/PhotoDrop';
import { photoAddress } from '../../ui/photoAddress';
import styles from './step.module.css';

/** Pictures of a step, taken with the phone: how it looked before, what went wrong, how it came out. */
export function StepPictures({ stepRun }: { stepRun: StepRunRow }) {
  const { run } = useCommands();
  const queue = usePhotoQueue('step');
  return (
    <section className={styles.pictures} aria-label="Pictures of this step">
      <Pictures runId={stepRun.id} what={stepRun.what} onRemove={(id) => run('removePhoto', { id })} />
      <PhotoQueueDrop
        label="Add a picture"
        hint="before, after, or what went wrong"
        queue={{ ...queue, add: (files) => queue.add(files, stepRun.id) }}
      />
    </section>
  );
}

/** The pictures of a step side by side, each opened by pressing it; nothing where there are none. */
export function Pictures(props: { runId: string; what: string; onRemove?: (id: string) => void }) {
  const { runId, what, onRemove } = props;
  const { photos } = useRows();
  const own = photos.filter(({ shows }) => shows?.stepRunId === runId).sort((a, b) => a.atMs - b.atMs);
  if (own.length === 0) return null;
  return (
    <ul className={styles.pictureList}>
      {own.map((photo, n) => (
        <li key={photo.id}>
          <a href={photoAddress(photo.id, 'full')} target="_blank" rel="noreferrer">
            <img src={photoAddress(photo.id, 'thumbnail')} alt={`${what}, ${n + 1} of ${own.length}`} loading="lazy" />
          </a>
          {onRemove && (
            <Button
              size="small"
              type="text"
              aria-label={`Remove picture ${n + 1} of ${what}`}
              onClick={() => onRemove(photo.id)}
            >
              ×
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
