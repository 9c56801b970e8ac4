import { emptyBrief, emptyHousehold } from '@core/state/brief';
import type { FileUpgrade } from './index';

type Loose = Record<string, unknown>;

/** Adds fields that a row does not have yet; what is no list is left for the schema to refuse. */
export function withDefaults(list: unknown, defaults: Loose): unknown {
  return Array.isArray(list)
    ? list.map((row: unknown) => (row !== null && typeof row === 'object' ? { ...defaults, ...row } : row))
    : list;
}

/** Version 1 knew neither the brief beyond its household, nor sketches, photos, inspirations and patterns. */
export const briefAndSketch: FileUpgrade = {
  from: 1,
  upgrade: (file) => {
    const project = file.project as Loose | null | undefined;
    const spots = withDefaults(file.spots, { measures: {}, features: [], tasks: [] });
    return {
      ...file,
      ...(project !== null && typeof project === 'object'
        ? {
            project: {
              ...project,
              brief: project.brief ?? emptyBrief,
              household: { ...emptyHousehold, ...(project.household as Loose | undefined) },
            },
          }
        : {}),
      spots: Array.isArray(spots)
        ? spots.map((spot: Loose) => (spot?.kind === 'table' ? { ...spot, kind: 'diningTable' } : spot))
        : spots,
      slots: withDefaults(file.slots, {
        role: null,
        perSeat: null,
        colorCardIds: [],
        shareThousandths: null,
        box: null,
        star: null,
      }),
      finds: withDefaults(file.finds, { reason: '' }),
      photos: file.photos ?? [],
      inspirations: file.inspirations ?? [],
      patterns: file.patterns ?? [],
    };
  },
};
