import type { ProjectRows } from '@core/plan/rows';
import { z } from 'zod';
import { id } from '../accept';
import { insert, type RowChange, remove, update, updateProject } from '../changes';
import { projectSchema, tableSchemas } from '../rows';
import { type Decision, defineCommand, refuse } from './command';
import { editCommand } from './rowCommands';

const palette = projectSchema.shape.brief.shape.palette;

/** The palette as it shall be, with the color cards that are new in it. */
export const setPalette = defineCommand({
  kind: 'setPalette',
  title: 'Palette changed',
  payload: z.strictObject({ palette, cards: z.array(tableSchemas.colorCards).max(24, 'at most 24 colors') }),
  decide: (rows, payload): Decision => {
    const known = new Set([...rows.colorCards, ...payload.cards].map((card) => card.id));
    const stranger = payload.palette.find((entry) => !known.has(entry.colorCardId));
    if (stranger) return refuse('palette', stranger.colorCardId, 'a color card of this studio');
    return [
      ...payload.cards.map((card) => insert('colorCards', card)),
      updateProject(rows.project.id, { brief: { ...rows.project.brief, palette: payload.palette } }),
    ];
  },
});

/** A picture whose bytes the server has; `inspiration` comes with it where it is one. */
export const addPhoto = defineCommand({
  kind: 'addPhoto',
  title: 'Photo added',
  payload: z.strictObject({ photo: tableSchemas.photos, inspiration: tableSchemas.inspirations.nullable() }),
  decide: (rows, payload): Decision => {
    const { photo, inspiration } = payload;
    if (inspiration && inspiration.photoId !== photo.id)
      return refuse('inspiration.photoId', inspiration.photoId, 'the photo that comes with it');
    const anchor = rows.project.brief.anchor;
    return [
      insert('photos', photo),
      ...(inspiration ? [insert('inspirations', inspiration)] : []),
      ...(photo.kind === 'anchor' && anchor
        ? [
            updateProject(rows.project.id, {
              brief: { ...rows.project.brief, anchor: { ...anchor, photoId: photo.id } },
            }),
          ]
        : []),
    ];
  },
});

/** What points to a photo lets go of it. */
function releasePhoto(rows: ProjectRows, photoId: string): RowChange[] {
  const { anchor } = rows.project.brief;
  return [
    ...rows.inspirations
      .filter((row) => row.photoId === photoId)
      .map((row) => update('inspirations', row.id, { photoId: null })),
    ...(anchor?.photoId === photoId
      ? [updateProject(rows.project.id, { brief: { ...rows.project.brief, anchor: { ...anchor, photoId: null } } })]
      : []),
  ];
}

export const removePhoto = defineCommand({
  kind: 'removePhoto',
  title: 'Photo removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload): Decision => [...releasePhoto(rows, payload.id), remove('photos', payload.id)],
});

export const addInspiration = defineCommand({
  kind: 'addInspiration',
  title: 'Inspiration noted',
  payload: z.strictObject({ inspiration: tableSchemas.inspirations }),
  decide: (_rows, payload): Decision => [insert('inspirations', payload.inspiration)],
});

export const editInspiration = editCommand('editInspiration', 'inspirations', 'Inspiration changed');

/** An inspiration goes with its picture, unless the anchor or another inspiration shows it too. */
export const removeInspiration = defineCommand({
  kind: 'removeInspiration',
  title: 'Inspiration removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload): Decision => {
    const photoId = rows.inspirations.find((row) => row.id === payload.id)?.photoId ?? null;
    const shownElsewhere =
      rows.project.brief.anchor?.photoId === photoId ||
      rows.inspirations.some((row) => row.id !== payload.id && row.photoId === photoId);
    return [
      remove('inspirations', payload.id),
      ...(photoId === null || shownElsewhere ? [] : [remove('photos', photoId)]),
    ];
  },
});
