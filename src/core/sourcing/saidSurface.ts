import { substrates } from '../catalog/substrates';
import type { Sheen } from '../state/surfaceState';
import type { FurnitureTemplate } from '../surface/furnitureTemplate';
import type { QuickLine } from './quickLine';

/** What a piece is made of and what lies on it. */
interface SaidSurface {
  materialId: string;
  finishId: string | null;
  sheen: Sheen;
}

/** What a thing of no known kind is taken to be made of while nobody says. */
export const unsaidMaterial = 'veneer';

/** What a line says of a surface; where it says nothing, what the kind of piece usually is. */
export function saidSurface(line: QuickLine, { usual }: FurnitureTemplate): SaidSurface {
  const materialId = line.materialId ?? usual?.materialId ?? unsaidMaterial;
  if (line.finishId !== null)
    return {
      materialId,
      finishId: line.finishId,
      sheen: substrates.find(line.finishId)?.sheen ?? line.sheen ?? 'unknown',
    };
  // A material that was said is not taken for the usual finished one.
  const finishId = line.materialId === null ? (usual?.finishId ?? null) : null;
  return { materialId, finishId, sheen: finishId === null ? 'unknown' : (usual?.sheen ?? 'unknown') };
}
