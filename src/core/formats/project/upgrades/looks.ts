import type { FileUpgrade } from './index';
import { isObject } from './loose';

/** Version 14 knew nothing of looks, of the wall behind a spot and of its daylight. */
export const looks: FileUpgrade = {
  from: 14,
  upgrade: (file) => ({
    ...file,
    ...(Array.isArray(file.spots)
      ? {
          spots: file.spots.map((spot) => (isObject(spot) ? { wall: null, daylight: 'unknown', ...spot } : spot)),
        }
      : {}),
    looks: [],
    lookPieces: [],
    holes: [],
  }),
};
