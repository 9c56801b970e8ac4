import type { PriceNoteRow, ProjectRows } from '../model/rows';

/** What the price book knows of pieces sold new, in the project's own money; prices that nobody knows are none. */
export const pricesOfPieces = ({ priceNotes, project }: Pick<ProjectRows, 'priceNotes' | 'project'>): PriceNoteRow[] =>
  priceNotes.filter(
    ({ subject, price, currency }) =>
      subject === 'piece' && price.state !== 'unknown' && (currency === '' || currency === project.currency),
  );
