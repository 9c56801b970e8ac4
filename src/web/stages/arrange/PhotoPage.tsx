import { lookRoom } from '@core/arrange/look/lookRoom';
import { lookThings } from '@core/arrange/look/lookThings';
import { firstLookOf } from '@core/arrange/lookChecks/lookFacts';
import { sameValue } from '@core/kernel/sameValue';
import type { PhotoPlane } from '@core/model/entities/look';
import type { LookRow, PhotoRow, SpotRow } from '@core/model/rows';
import { Button } from 'antd';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { usePhotoQueue } from '../../app/photoQueue';
import { useCommands, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { Empty, LinkButton } from '../../ui/basics';
import { PhotoQueueDrop } from '../../ui/PhotoDrop';
import { photoAddress } from '../../ui/photoAddress';
import { PhotoWork } from './PhotoWork';
import styles from './photo.module.css';
import layout from './side.module.css';

/** Where a rectangle is guessed before anybody has tapped its corners. */
const GUESS: PhotoPlane['corners'] = [
  { x: 0.25, y: 0.2 },
  { x: 0.75, y: 0.2 },
  { x: 0.75, y: 0.75 },
  { x: 0.25, y: 0.75 },
];

/** The plane that a new picture begins with: the spot's own frame. */
function firstPlane(photo: PhotoRow, spot: SpotRow): PhotoPlane {
  const { widthMm, heightMm } = lookRoom(spot);
  return { photoId: photo.id, corners: GUESS, widthMm, heightMm, xMm: 0, heightAtMm: 0, recolored: [] };
}

/** A look put into the picture of its spot, at true size, before a nail goes in. */
export function PhotoPage() {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const [search] = useSearchParams();
  const queue = usePhotoQueue('before');
  const look: LookRow | null =
    rows.looks.find(({ id }) => id === search.get('look')) ?? firstLookOf(plan, search.get('spot') ?? '');
  const spot = rows.spots.find(({ id }) => id === look?.spotId) ?? null;
  const things = useMemo(() => (look ? lookThings(plan, look) : []), [plan, look]);
  const photos = rows.photos.filter(({ kind }) => kind === 'before');
  const photo = photos.find(({ id }) => id === look?.photo?.photoId) ?? null;
  if (!look || !spot)
    return (
      <main className={shell.page}>
        <Empty title="Which look shall stand in the picture?">
          <LinkButton to="../arrange" primary>
            To the looks
          </LinkButton>
        </Empty>
      </main>
    );
  const back = `../arrange?${new URLSearchParams({ spot: spot.id, look: look.id })}`;
  return (
    <main className={shell.page}>
      <div className={layout.head}>
        <h1>In the room</h1>
        <p>
          {spot.name}, “{look.name}”. The picture stays on this machine and its server.
        </p>
        <Link to={back}>Back to the look</Link>
      </div>
      {look.photo && photo ? (
        <PhotoWork
          key={`${look.id} ${photo.id}`}
          look={look}
          spot={spot}
          plane={look.photo}
          photo={photo}
          things={things}
          isNew={sameValue(look.photo.corners, GUESS)}
        />
      ) : (
        <>
          <p>Take or choose the picture of the spot as it is, straight on if it goes.</p>
          <ul className={styles.photos} aria-label="Before photos">
            {photos.map((entry, n) => (
              <li key={entry.id}>
                <Button
                  className={styles.photo ?? ''}
                  aria-label={`Put the look into ${entry.name || `photo ${n + 1}`}`}
                  onClick={() => run('editLook', { id: look.id, values: { photo: firstPlane(entry, spot) } })}
                >
                  <img src={photoAddress(entry.id, 'thumbnail')} alt="" />
                </Button>
              </li>
            ))}
          </ul>
          <PhotoQueueDrop label="Add a picture of the spot" hint="drop it here, paste it, or take it" queue={queue} />
        </>
      )}
    </main>
  );
}
