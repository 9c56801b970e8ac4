import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { remove } from '../changes';

/** An inspiration goes with its picture, unless the anchor or another inspiration shows it too. */
export const removeInspiration = projectAct({
  kind: 'removeInspiration',
  title: 'Inspiration removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const gone = rows.inspirations.find((row) => row.id === payload.id);
    if (!gone) return refuse('id', payload.id, 'an inspiration that is still there');
    const { photoId } = gone;
    const shownElsewhere =
      rows.project.brief.anchor?.photoId === photoId ||
      rows.inspirations.some((row) => row.id !== payload.id && row.photoId === photoId);
    return [
      remove('inspirations', payload.id),
      ...(photoId === null || shownElsewhere ? [] : [remove('photos', photoId)]),
    ];
  },
});
