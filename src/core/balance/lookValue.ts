import type { Importance, OptionRow } from '../model/rows';

/** How much a slot counts (definitions of the figures): a must cannot be left out. */
export const importanceWeight: Readonly<Record<Importance, number>> = { must: 5, wanted: 3, nice: 1 };

/** How much an option is liked, 1 to 5: as the stylist says, else 3; what is taken as found 2. */
export const likingOf = ({ liking, kind }: Pick<OptionRow, 'liking' | 'kind'>): number =>
  liking ?? (kind === 'asFound' ? 2 : 3);
