import { dateAfter, daysBetween } from '../calendar/localDates';
import type { FindRow, PieceRow } from '../model/rows';
import type { OptionModel } from './model/optionModel';
import type { OptionFinding } from './optionSentences';

/** How many days before the reveal something cut is bought at the earliest: it opens and is arranged meanwhile. */
const DAYS_AHEAD = 1;

/**
 * When what stays fresh for some days has to be cut or bought: the day before the reveal, or as early as it lasts until
 * the end of the look. Nothing where no day is set.
 */
function freshness(
  { name, freshDays, standIn }: Pick<FindRow, 'name' | 'freshDays' | 'standIn'>,
  { revealDate, standsUntil }: { revealDate: string | null; standsUntil: string | null },
  where: OptionFinding['where'],
): OptionFinding[] {
  if (freshDays === null || revealDate === null) return [];
  const stands = daysBetween(revealDate, standsUntil ?? revealDate) + 1;
  const dayBefore = dateAfter(revealDate, -DAYS_AHEAD);
  if (stands + DAYS_AHEAD > freshDays)
    return [
      {
        code: 'house.wilts',
        severity: 'warn',
        where,
        figures: { piece: name, days: freshDays, from: dayBefore, stands, standIn },
      },
    ];
  // It must last from the day it is cut to the last day of the look.
  const from = dateAfter(standsUntil ?? revealDate, 1 - freshDays);
  return [
    {
      code: 'house.freshFrom',
      severity: 'note',
      where,
      figures: { piece: name, days: freshDays, from: from > dayBefore ? dayBefore : from, until: dayBefore },
    },
  ];
}

/**
 * What a piece of the house says of a way to fill a slot: the place that it leaves; and, where it is borrowed, that
 * nothing is altered before its owner was asked, and that it must not be due back before the look comes down.
 */
export function houseFindings(of: {
  model: OptionModel;
  pieces: readonly PieceRow[];
  revealDate: string | null;
  standsUntil: string | null;
  /** The spot that the slot belongs to. */
  spotName: string;
}): OptionFinding[] {
  const { option, recipe, finds } = of.model;
  const findings: OptionFinding[] = [];
  for (const find of finds) {
    const piece = of.pieces.find((row) => row.id === find.pieceId);
    if (!piece) continue;
    const where = { kind: 'option' as const, id: option.id };
    const stays = piece.standsAt.trim().toLowerCase() === of.spotName.trim().toLowerCase();
    if (find.state === 'owned' && piece.standsAt !== '' && !stays)
      findings.push({
        code: 'house.leavesPlace',
        severity: 'note',
        where,
        figures: { piece: piece.name, place: piece.standsAt },
      });
    findings.push(...freshness(find, of, where));
    if (piece.borrowedFrom === '') continue;
    if (recipe && !piece.mayAlter)
      findings.push({
        code: 'house.borrowed',
        severity: 'refuse',
        where,
        figures: { piece: piece.name, owner: piece.borrowedFrom },
      });
    const needed = of.standsUntil ?? of.revealDate;
    if (piece.backBy !== null && needed !== null && piece.backBy < needed)
      findings.push({
        code: 'house.goesBack',
        severity: 'warn',
        where,
        figures: { piece: piece.name, owner: piece.borrowedFrom, date: piece.backBy },
      });
  }
  return findings;
}
