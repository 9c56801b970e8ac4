import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { remove, update, updateProject } from '../changes';

/** Removes a picture and every reference to it. */
export const removePhoto = projectAct({
  kind: 'removePhoto',
  title: 'Photo removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    if (!rows.photos.some((photo) => photo.id === payload.id))
      return refuse('id', payload.id, 'a photo that is still there');
    const { brief } = rows.project;
    return [
      ...rows.inspirations
        .filter((row) => row.photoId === payload.id)
        .map((row) => update('inspirations', row.id, { photoId: null })),
      ...rows.sightings.flatMap(({ id: sightingId, photoId, tagPhotoId }) =>
        photoId === payload.id || tagPhotoId === payload.id
          ? [
              update('sightings', sightingId, {
                photoId: photoId === payload.id ? null : photoId,
                tagPhotoId: tagPhotoId === payload.id ? null : tagPhotoId,
              }),
            ]
          : [],
      ),
      ...rows.receipts
        .filter((row) => row.photoId === payload.id)
        .map((row) => update('receipts', row.id, { photoId: null })),
      ...rows.looks.flatMap(({ id: lookId, photo }) =>
        photo?.photoId === payload.id ? [update('looks', lookId, { photo: null })] : [],
      ),
      ...(brief.anchor?.photoId === payload.id
        ? [updateProject(rows.project.id, { brief: { ...brief, anchor: { ...brief.anchor, photoId: null } } })]
        : []),
      remove('photos', payload.id),
    ];
  },
});
