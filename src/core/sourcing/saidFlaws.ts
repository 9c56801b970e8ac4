import type { Inspected } from '../catalog/inspection';
import { inspectionsFor } from '../catalog/inspections';
import type { Looked } from '../state/pieceState';
import { tellingWords } from './fitNeed';

/** The stem that forms of a word share: sticks, sticking, sticky. */
const stem = (word: string) => word.slice(0, Math.max(4, word.length - 3));

/**
 * The flaws that a line says, as checks of the lists that are meant for the thing: "one drawer sticks" is the check of the
 * drawers. A flaw is said when all its telling words are, whatever their form.
 * @returns what was looked at, each a flaw; none where the line says nothing of that kind
 */
export function saidFlaws(line: string, piece: Inspected): Looked[] {
  const said = new Set(tellingWords(line).map(stem));
  return inspectionsFor(piece).flatMap(({ checks }) =>
    checks.flatMap(({ id, flaw }): Looked[] => {
      const words = flaw ? tellingWords(flaw.says).map(stem) : [];
      const isSaid =
        (words.length > 0 && words.every((word) => said.has(word))) ||
        flaw?.words.some((word) => said.has(stem(word))) === true;
      return isSaid ? [{ check: id, verdict: 'flaw' }] : [];
    }),
  );
}
