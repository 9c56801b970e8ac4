import type { OptionRow } from '../model/rows';

/** How much an option is liked, 1 to 5: as the stylist says, else 3; what is taken as found 2. */
export const likingOf = ({ liking, kind }: Pick<OptionRow, 'liking' | 'kind'>): number =>
  liking ?? (kind === 'asFound' ? 2 : 3);
