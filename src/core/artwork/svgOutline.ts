import { SVGPathData } from 'svg-pathdata';
import type { Outline } from '../surface/outline';
import { FLAT_MM, outlineOfCommands, type PathCommand, PathError } from './pathOutline';

/**
 * The rings of a path as SVG writes them, with any of its commands, its curves as chords.
 * @param toleranceMm how far a chord may lie beside its curve
 * @throws PathError with what cannot be read
 */
export const outlineOfSvgPath = (data: string, toleranceMm = FLAT_MM): Outline =>
  outlineOfCommands(simpleCommands(data), toleranceMm);

/** Moves, lines, curves of third degree and closings, by the package that knows all the others. */
function simpleCommands(data: string): PathCommand[] {
  try {
    const { commands } = new SVGPathData(data).toAbs().normalizeHVZ(false, true, true).normalizeST().qtToC().aToC();
    return commands.flatMap((command): PathCommand[] => {
      if (command.type === SVGPathData.MOVE_TO) return [{ kind: 'move', x: command.x, y: command.y }];
      if (command.type === SVGPathData.LINE_TO) return [{ kind: 'line', x: command.x, y: command.y }];
      if (command.type === SVGPathData.CURVE_TO) return [{ ...command, kind: 'curve' }];
      return command.type === SVGPathData.CLOSE_PATH ? [{ kind: 'close' }] : [];
    });
  } catch (error) {
    throw new PathError(error instanceof Error ? error.message : String(error));
  }
}
