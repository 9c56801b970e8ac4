import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct, refuse } from '../act';
import { insert, updateProject } from '../changes';

/** A picture whose bytes the server has; `inspiration` comes with it where it is one. */
export const addPhoto = projectAct({
  kind: 'addPhoto',
  title: 'Photo added',
  payload: z.strictObject({ photo: rowSchema('photos'), inspiration: rowSchema('inspirations').nullable() }),
  decide: (rows, payload) => {
    const { photo, inspiration } = payload;
    if (inspiration && inspiration.photoId !== photo.id)
      return refuse('inspiration.photoId', inspiration.photoId, 'the photo that comes with it');
    const { brief } = rows.project;
    return [
      insert('photos', photo),
      ...(inspiration ? [insert('inspirations', inspiration)] : []),
      ...(photo.kind === 'anchor' && brief.anchor
        ? [updateProject(rows.project.id, { brief: { ...brief, anchor: { ...brief.anchor, photoId: photo.id } } })]
        : []),
    ];
  },
});
