import type { PieceRow } from '../model/rows';
import type { OptionModel } from './model/optionModel';
import type { OptionFinding } from './optionSentences';

/**
 * What a borrowed piece of the house says against a way to fill a slot: nothing is altered before its owner was asked,
 * and it must not be due back before the look comes down.
 */
export function houseFindings(of: {
  model: OptionModel;
  pieces: readonly PieceRow[];
  revealDate: string | null;
  standsUntil: string | null;
}): OptionFinding[] {
  const { option, recipe, finds } = of.model;
  const findings: OptionFinding[] = [];
  for (const find of finds) {
    const piece = of.pieces.find((row) => row.id === find.pieceId);
    if (!piece || piece.borrowedFrom === '') continue;
    const where = { kind: 'option' as const, id: option.id };
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
