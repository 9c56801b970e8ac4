import { sayDay } from '@core/calendar/sayDay';
import type { FindRow } from '@core/model/rows';
import { usePhotoQueue } from '../../app/photoQueue';
import { useLocale, useRows } from '../../app/projectStore';
import { useToday } from '../../app/today';
import { PhotoQueueDrop } from '../../ui/PhotoDrop';
import { photoAddress } from '../../ui/photoAddress';
import hunt from './hunt.module.css';

/** An inbox of what was only photographed in a shop; each is sorted out at home, with one line. */
export function SeenToday(props: { onOpen: (id: string) => void }) {
  const rows = useRows();
  const { timeZone } = useLocale();
  const queue = usePhotoQueue('find');
  const today = useToday(timeZone);
  const unsorted = rows.finds.filter(({ sorted, archived }) => !sorted && !archived);
  const when = ({ seenOn }: FindRow) => (seenOn === null ? '' : sayDay(seenOn, today));
  return (
    <section aria-label="Seen and not sorted out" className={hunt.seen}>
      <PhotoQueueDrop
        label="Photograph a piece or a tag"
        hint="several at once; sorted out at home"
        queue={{ ...queue, add: (files) => queue.add(files) }}
      />
      {unsorted.length > 0 && (
        <ul className={hunt.inbox} aria-label="To sort out">
          {unsorted.map((find) => (
            <li key={find.id}>
              <button type="button" onClick={() => props.onOpen(find.id)}>
                {find.photoId !== null && <img src={photoAddress(find.photoId, 'thumbnail')} alt="" />}
                <span>
                  {find.name}
                  <small>{when(find)}</small>
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
