import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct } from '../act';
import { insert, update } from '../changes';

/** Keeps shapes or lettering, a set of labels in one act; those that are known already are set anew. */
export const saveArtwork = projectAct({
  kind: 'saveArtwork',
  title: 'Artwork kept',
  payload: z.strictObject({ artworks: z.array(rowSchema('artworks')).min(1).max(50, 'at most 50 shapes at once') }),
  decide: (rows, { artworks }) => {
    const known = new Set(rows.artworks.map(({ id }) => id));
    return artworks.map((artwork) => {
      if (!known.has(artwork.id)) return insert('artworks', artwork);
      const { id, version: _version, ...values } = artwork;
      return update('artworks', id, values);
    });
  },
});
