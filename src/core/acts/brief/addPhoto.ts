import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { photo } from '../../model/entities/photo';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { insert, type RowChange, update, updateProject } from '../changes';
import { newFindChanges } from '../finds/addFind';
import { findSchema } from '../finds/findFields';

/**
 * A picture whose bytes the server has; `inspiration` comes with it where it is one. A picture of a piece or its tag is
 * about a find: one that is there, or one that is new by it and waits to be sorted out; a picture of a receipt is about
 * that, and one of a step says itself which run of it.
 */
export const addPhoto = projectAct({
  kind: 'addPhoto',
  title: 'Photo added',
  payload: z.strictObject({
    // A picture that was put in the queue before steps and pairs were known says nothing of them.
    photo: rowSchema('photos').extend({
      shows: photo.fields.shows.default(null),
      pair: photo.fields.pair.default(null),
    }),
    inspiration: rowSchema('inspirations').nullable(),
    aboutId: id.nullable().optional(),
    find: findSchema.nullable().optional(),
  }),
  decide: (rows, { photo, inspiration, aboutId = null, find = null }) => {
    if (inspiration && inspiration.photoId !== photo.id)
      return refuse('inspiration.photoId', inspiration.photoId, 'the photo that comes with it');
    const { brief } = rows.project;
    const about: RowChange[] = [];
    if (find) about.push(...newFindChanges(rows, { ...find, photoId: photo.id }));
    else if (aboutId !== null && photo.kind === 'receipt') {
      if (!rows.receipts.some((receipt) => receipt.id === aboutId))
        return refuse('aboutId', aboutId, 'a receipt of this project');
      about.push(update('receipts', aboutId, { photoId: photo.id }));
    } else if (aboutId !== null) {
      if (!rows.sightings.some((sighting) => sighting.id === aboutId))
        return refuse('aboutId', aboutId, 'a find of this project');
      about.push(update('sightings', aboutId, photo.kind === 'tag' ? { tagPhotoId: photo.id } : { photoId: photo.id }));
    }
    return [
      insert('photos', photo),
      ...(inspiration ? [insert('inspirations', inspiration)] : []),
      ...(photo.kind === 'anchor' && brief.anchor
        ? [updateProject(rows.project.id, { brief: { ...brief, anchor: { ...brief.anchor, photoId: photo.id } } })]
        : []),
      ...about,
    ];
  },
});
