import type { Coating } from '@core/catalog/coating';
import { isFilm } from '@core/technique/sheetWork';
import type { Technique } from '@core/technique/technique';

/** Whether a technique lays paper or cloth in a medium, so that a kind and a design are asked. */
export const isLaidInMedium = (technique: Technique, coating: Coating | undefined): boolean =>
  technique.sheet !== null && coating !== undefined && !isFilm(coating);
