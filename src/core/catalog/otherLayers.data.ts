import type { CoatingGroup } from './coating';

/** What can lie on a surface without being wet: known to the compatibility table by its group. */
export interface DryLayer {
  id: string;
  name: string;
  group: CoatingGroup;
}

/** Adhesive films. Their own techniques are cutting and laying, not coating. */
export const dryLayers: readonly DryLayer[] = [
  { id: 'removableFilm', name: 'Removable adhesive film', group: 'film' },
  { id: 'permanentFilm', name: 'Permanent adhesive film', group: 'film' },
];
