import { climateRegions, type RegionKind } from './climateRegions.data';

/** Where it is coated in the open, and what becomes of it afterwards. */
export interface PlaceOutdoors {
  /** Degrees, negative in the south. */
  latitude: number;
  /** Under a roof that is open to a side neither rain nor wind counts. */
  hasShelter: boolean;
  /** Carried in when it is dry to touch, so that the night outside does not count. */
  carriesIn: boolean;
}

/** What a workshop says of working in the open. */
interface SaidOfTheOpen {
  region: RegionKind;
  isSouthern: boolean;
  hasShelter: boolean;
  carriesIn?: boolean | undefined;
}

/** The place in the open of a workshop. */
export const placeOutdoors = ({ region, isSouthern, hasShelter, carriesIn = false }: SaidOfTheOpen): PlaceOutdoors => ({
  latitude: climateRegions[region].latitude * (isSouthern ? -1 : 1),
  hasShelter,
  carriesIn,
});
