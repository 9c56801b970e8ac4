import type { PhotoKind, PhotoRow } from '@core/model/rows';
import { Button } from 'antd';
import { usePhotoQueue } from '../../app/photoQueue';
import { useCommands, useRows } from '../../app/projectStore';
import { TextField } from '../../ui/fields';
import { PhotoQueueDrop } from '../../ui/PhotoDrop';
import { photoAddress } from '../../ui/photoAddress';
import styles from './brief.module.css';

/** A photo as a card with its name. */
export function PhotoCard(props: { photo: PhotoRow; alt: string; children?: React.ReactNode }) {
  const { photo } = props;
  return (
    <figure className={styles.photo}>
      <a href={photoAddress(photo.id, 'full')} target="_blank" rel="noreferrer">
        <img src={photoAddress(photo.id, 'thumbnail')} alt={props.alt} loading="lazy" />
      </a>
      {props.children}
    </figure>
  );
}

/** Before photos: reminded of until there is one, or until they are waived. */
export function BeforePhotos() {
  const rows = useRows();
  const { run } = useCommands();
  const kind: PhotoKind = 'before';
  const queue = usePhotoQueue(kind);
  const { project } = rows;
  const photos = rows.photos.filter((photo) => photo.kind === kind).sort((a, b) => a.atMs - b.atMs);
  const setWanted = (beforePhoto: 'wanted' | 'waived') =>
    run('editProject', { id: project.id, values: { brief: { ...project.brief, beforePhoto } } });
  return (
    <section className={styles.sheet} aria-label="Before photos">
      <h2>Before photos</h2>
      {photos.length === 0 && project.brief.beforePhoto === 'wanted' && (
        <p className={styles.remind}>
          None yet. Take one before anything moves: it is the regret named most, and it cannot be made up for.
        </p>
      )}
      <PhotoQueueDrop
        label="Add before photos"
        hint="drop them here, paste them, or take them with the phone’s camera"
        queue={queue}
      />
      <div className={styles.photos}>
        {photos.map((photo, n) => (
          <PhotoCard key={photo.id} photo={photo} alt={`Before, ${photo.name || `photo ${n + 1}`}`}>
            <figcaption>
              <span>{photo.name}</span>
              <Button
                size="small"
                type="text"
                onClick={() => run('removePhoto', { id: photo.id })}
                aria-label={`Remove ${photo.name}`}
              >
                ×
              </Button>
            </figcaption>
          </PhotoCard>
        ))}
      </div>
      {photos.length === 0 && project.brief.beforePhoto === 'waived' && (
        <TextField
          label="Why there is none"
          value={project.brief.beforePhotoWhy}
          most={200}
          onCommit={(beforePhotoWhy) =>
            run('editProject', { id: project.id, values: { brief: { ...project.brief, beforePhotoWhy } } })
          }
          hint="it was cleared out already, the owner does not want it"
        />
      )}
      {photos.length === 0 && (
        <Button
          size="small"
          type="text"
          onClick={() => setWanted(project.brief.beforePhoto === 'wanted' ? 'waived' : 'wanted')}
        >
          {project.brief.beforePhoto === 'wanted' ? 'No before photo this time' : 'Remind me after all'}
        </Button>
      )}
    </section>
  );
}

/** Inspirations: the picture, where it was seen, what is taken from it. */
export function Inspirations() {
  const rows = useRows();
  const { run } = useCommands();
  const queue = usePhotoQueue('inspiration');
  const photos = new Map(rows.photos.map((photo) => [photo.id, photo]));
  return (
    <section className={styles.sheet} aria-label="Inspirations">
      <h2>Inspirations</h2>
      <PhotoQueueDrop
        label="Add inspirations"
        hint="pictures of what you like; say what you take from each"
        queue={queue}
      />
      {rows.inspirations.length === 0 && <p className="muted small">Nothing noted yet.</p>}
      {rows.inspirations.map((entry) => {
        const photo = entry.photoId === null ? undefined : photos.get(entry.photoId);
        const set = (values: { seenAt?: string; taken?: string }) => run('editInspiration', { id: entry.id, values });
        return (
          <div key={entry.id} className={styles.inspiration}>
            {photo ? <PhotoCard photo={photo} alt={entry.taken || 'Inspiration'} /> : <span />}
            <div>
              <TextField label="Seen where" value={entry.seenAt} most={200} onCommit={(seenAt) => set({ seenAt })} />
              {entry.seenAt === '' && (
                <Button size="small" type="text" onClick={() => set({ seenAt: 'I no longer know where' })}>
                  I no longer know where
                </Button>
              )}
              <TextField
                label="What is taken from it"
                value={entry.taken}
                most={600}
                onCommit={(taken) => set({ taken })}
              />
            </div>
            <Button
              size="small"
              type="text"
              onClick={() => run('removeInspiration', { id: entry.id })}
              aria-label="Remove this inspiration"
            >
              ×
            </Button>
          </div>
        );
      })}
      <Button
        size="small"
        onClick={() =>
          run('addInspiration', {
            inspiration: { id: crypto.randomUUID(), version: 1, photoId: null, seenAt: '', taken: '' },
          })
        }
      >
        Note one without a picture
      </Button>
    </section>
  );
}
