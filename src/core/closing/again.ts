import { daysBetween } from '../calendar/localDates';
import { localDate } from '../calendar/zonedTime';
import type { OptionRow, PieceRow, ProjectRows, SlotRow } from '../model/rows';
import type { Plan, PlannedFill } from '../plan/computePlan';
import { boxWords } from '../sourcing/boxNames';
import { filledWith } from './freezePlan';

const DAYS_OF_A_YEAR = 365.2425;

/** A slot with what filled it, and whether the same can fill it again. */
export interface SlotAgain {
  slot: SlotRow;
  /** What filled it, by name; empty where it was open or left out. */
  filledWith: string;
  /** The piece of the house that can fill it again, how many of it, and where it is now; null where there is none. */
  piece: PieceRow | null;
  count: number;
  place: string;
  /** Why it cannot; empty where it can. */
  because: string;
  /** Why it is likely to be worn out; empty where nothing says so. */
  worn: string;
}

/** Where a piece is, as one says it; empty where nobody noted it. */
export function placeWords({ standsAt, box, shelf }: Pick<PieceRow, 'standsAt' | 'box' | 'shelf'>): string {
  if (standsAt !== '') return `stands at ${standsAt}`;
  return [box === '' ? '' : boxWords(box), shelf].filter((words) => words !== '').join(', ');
}

/**
 * The slots of a project for its next season: what filled each, where that is now, and whether it can fill it again. A slot
 * that one piece of the house filled is filled by it again, and so is one whose new or made thing became a piece when it was
 * put away; what is made of several pieces, borrowed or not in the house is chosen anew.
 * @param became the pieces that new and made things became, by id
 */
export function slotsAgain(plan: Plan, became: ReadonlyMap<string, PieceRow> = new Map()): SlotAgain[] {
  const pieces = new Map(plan.rows.pieces.map((piece) => [piece.id, piece]));
  const stored = storedPieceIds(plan.rows);
  return plan.slots.map(({ slot }): SlotAgain => {
    const fills = plan.chosen.filter(({ model }) => model.slot.id === slot.id);
    const [fill, ...more] = fills;
    const open = {
      slot,
      filledWith: filledWith(fills.map(({ model }) => model)),
      piece: null,
      count: 0,
      place: '',
      worn: '',
    };
    if (!fill) return { ...open, because: 'nothing filled it' };
    const [find, ...others] = fill.model.finds;
    if (more.length > 0 || others.length > 0 || (find && fill.model.offers.length > 0))
      return { ...open, because: 'several things filled it' };
    if (!find) {
      const pieceId = stored.get(fill.model.option.id);
      const piece = became.get(pieceId ?? '');
      if (piece?.inHouse) return { ...open, ...asBefore(plan, fill, piece) };
      return {
        ...open,
        because:
          pieceId === undefined ? 'it was bought new, or made, and not put away' : 'it is not in the house any more',
      };
    }
    const piece = pieces.get(find.pieceId);
    if (!piece || find.borrowedFrom !== '') return { ...open, because: 'it was borrowed' };
    if (!piece.inHouse) return { ...open, because: 'it was not put away in the house' };
    return { ...open, ...asBefore(plan, fill, piece) };
  });
}

/** A slot that can be filled by the piece as before. */
const asBefore = (plan: Plan, { model, count }: PlannedFill, piece: PieceRow) => ({
  piece,
  count,
  place: placeWords(piece),
  because: '',
  worn: wornWords(piece, model.option.lasts, localDate(plan.asOfMs, plan.rows.project.timeZone)),
});

/** Why a piece is likely to be worn out, by what somebody said it is good for; empty where it is not, or nobody said. */
export function wornWords(
  { uses, seenOn }: Pick<PieceRow, 'uses' | 'seenOn'>,
  lasts: Pick<OptionRow['lasts'], 'uses' | 'years'>,
  today: string,
): string {
  if (lasts.uses !== null && uses >= lasts.uses) return `used ${uses} times, good for ${lasts.uses}: look at it first`;
  if (lasts.years === null || seenOn === null) return '';
  const years = Math.floor(daysBetween(seenOn, today) / DAYS_OF_A_YEAR);
  return years >= lasts.years ? `${years} years old, good for ${lasts.years}: look at it first` : '';
}

/** The pieces of the house that new and made things became when they were put away, by the option that they filled. */
export const storedPieceIds = ({ looseEnds }: Pick<ProjectRows, 'looseEnds'>): ReadonlyMap<string, string> =>
  new Map(looseEnds.flatMap(({ about }) => (about.kind === 'stored' ? [[about.id, about.pieceId] as const] : [])));

/** What is fetched from one place. */
export interface Fetched {
  place: string;
  names: string[];
}

/** What is to be fetched from where, for the slots that are filled again; places in the order in which a person counts. */
export function fetchList(slots: readonly SlotAgain[], isKept: (slot: SlotAgain) => boolean): Fetched[] {
  const places = new Map<string, string[]>();
  for (const one of slots) {
    if (!one.piece || !isKept(one)) continue;
    const place = one.place || 'no place noted';
    places.set(place, [
      ...(places.get(place) ?? []),
      one.count > 1 ? `${one.count} × ${one.piece.name}` : one.piece.name,
    ]);
  }
  return [...places]
    .map(([place, names]) => ({ place, names }))
    .sort((a, b) => a.place.localeCompare(b.place, 'en', { numeric: true }));
}
