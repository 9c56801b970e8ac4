import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct } from '../act';
import { insert, update } from '../changes';

/** Keeps a shape or a lettering; one that is known already is set anew. */
export const saveArtwork = projectAct({
  kind: 'saveArtwork',
  title: 'Artwork kept',
  payload: z.strictObject({ artwork: rowSchema('artworks') }),
  decide: (rows, { artwork }) => {
    if (!rows.artworks.some(({ id }) => id === artwork.id)) return [insert('artworks', artwork)];
    const { id, version: _version, ...values } = artwork;
    return [update('artworks', id, values)];
  },
});
