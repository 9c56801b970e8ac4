import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { remove } from '../changes';

/** Lets a shape or a lettering go, unless a layer still cuts it. */
export const removeArtwork = projectAct({
  kind: 'removeArtwork',
  title: 'Artwork removed',
  payload: z.strictObject({ artworkId: id }),
  decide: (rows, { artworkId }) => {
    const artwork = rows.artworks.find((row) => row.id === artworkId);
    if (!artwork) return refuse('artworkId', artworkId, 'an artwork that is still there');
    const user = rows.recipes.find(({ body }) => body.layers.some((layer) => layer.artworkIds?.includes(artworkId)));
    return user
      ? refuse('artworkId', artwork.name, `an artwork that no layer cuts; “${user.name}” does`)
      : [remove('artworks', artworkId)];
  },
});
