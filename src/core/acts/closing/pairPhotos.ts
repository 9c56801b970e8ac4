import { z } from 'zod';
import { photo } from '../../model/entities/photo';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { update } from '../changes';

/** Holds an after photo against a before photo, or against none any more. */
export const pairPhotos = projectAct({
  kind: 'pairPhotos',
  title: 'Before and after lined up',
  titleFor: ({ pair }) => (pair === null ? 'Held against nothing any more' : 'Before and after lined up'),
  payload: z.strictObject({ afterId: id, pair: photo.fields.pair }),
  decide: (rows, { afterId, pair }) => {
    const after = rows.photos.find((row) => row.id === afterId);
    if (after?.kind !== 'after') return refuse('afterId', after?.name ?? afterId, 'an after photo of this project');
    const before = rows.photos.find((row) => row.id === pair?.beforeId);
    if (pair !== null && before?.kind !== 'before')
      return refuse('pair.beforeId', before?.name ?? pair.beforeId, 'a before photo of this project');
    return [update('photos', afterId, { pair })];
  },
});
