import type { FileUpgrade } from './index';
import { isObject, type Loose, withDefaults } from './loose';

/** What was assumed of a brief and a household until version 2. Written out: what is assumed today may differ. */
const brief = {
  version: 1,
  occasion: '',
  mood: '',
  functions: [],
  anchor: null,
  splurge: null,
  palette: [],
  weeks: [],
  beforePhoto: 'wanted',
  preparation: 'scuffAndGo',
  arranging: 'uneven',
  amount: 'layerUp',
  grouping: 'odd',
};
const household = {
  youngestChildYears: null,
  pregnancy: false,
  pets: [],
  rented: false,
  noDrilling: false,
  reversibleOnly: false,
  outdoors: false,
  damp: false,
  heatNear: false,
  foodNear: false,
  buildingWorks: false,
  cordReachMm: null,
};

/** Version 1 knew neither the brief beyond its household, nor sketches, photos, inspirations and patterns. */
export const briefAndSketch: FileUpgrade = {
  from: 1,
  upgrade: (file) => {
    const { project } = file;
    const spots = withDefaults(file.spots, { measures: {}, features: [], tasks: [] });
    return {
      ...file,
      ...(isObject(project)
        ? {
            project: {
              ...project,
              brief: project.brief ?? brief,
              household: { ...household, ...(project.household as Loose | undefined) },
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
