import type { StoredHanger } from '../../model/entities/lookPiece';
import type { LookThing } from '../look/lookThing';
import { inches } from '../lookChecks/where';
import type { Hanger } from './nailPoints';

/** A wire sags about so far below the top of its frame; a saw tooth, a ring (common practice, no source). */
const WIRE_DROP_MM = inches(2.5);
const TOOTH_DROP_MM = inches(0.5);
const RING_DROP_MM = inches(2);
/** Frames narrower than this hang by one tooth in the middle. */
const SMALL_MM = inches(10);

/**
 * What a thing hangs by while nobody looked: a wire behind a frame, a saw tooth behind a small one, two rings behind a
 * mirror, keyholes in a shelf, a hook for a wreath (common practice, no source).
 */
export function usualHanger({ kinds, template, size }: Pick<LookThing, 'kinds' | 'template' | 'size'>): StoredHanger {
  if (template?.id === 'shelf') return { kind: 'keyholes', dropMm: size.heightMm / 2, apartMm: size.widthMm * 0.15 };
  if (kinds.has('mirror')) return { kind: 'twoRings', dropMm: RING_DROP_MM, apartMm: size.widthMm * 0.15 };
  if (kinds.has('wreath') || kinds.has('garland')) return { kind: 'hook', dropMm: inches(1), apartMm: 0 };
  if (kinds.has('curtain')) return { kind: 'twoRings', dropMm: 0, apartMm: inches(2) };
  if (Math.min(size.widthMm, size.heightMm) <= SMALL_MM || kinds.has('plate'))
    return { kind: 'middle', dropMm: Math.min(TOOTH_DROP_MM, size.heightMm / 4), apartMm: 0 };
  return { kind: 'wire', dropMm: Math.min(WIRE_DROP_MM, size.heightMm / 3), apartMm: 0 };
}

/** A hanger as the row keeps it, in the form that the formula of the nails takes. */
export function hangerOf({ kind, dropMm, apartMm }: StoredHanger): Hanger {
  switch (kind) {
    case 'wire':
      return { kind, dropMm, apartMm };
    case 'twoRings':
    case 'keyholes':
      return { kind, dropMm, insetMm: apartMm };
    case 'middle':
    case 'hook':
      return { kind: 'middle', dropMm };
    default:
      return kind satisfies never;
  }
}
