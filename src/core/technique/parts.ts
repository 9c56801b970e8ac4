import type { Coating } from '../catalog/coating';
import { detailFactors, sprayEfficiency } from '../catalog/labor.data';
import type { QuantityInput, Technique, TechniqueParameter, TechniqueValues } from './technique';

/**
 * What a brush takes: V = area × texture × (k + n − 1) ÷ spreading rate × (1 + loss), in mL, with the absorption k on
 * the first coat only and the loss once. Source: the quantity model of the trade (common practice, from memory).
 */
export function brushedAmount(input: QuantityInput): number {
  return input.coats <= 0
    ? 0
    : ((input.projectedAreaM2 * input.texture * (input.absorption + input.coats - 1)) / input.spreadingRate) *
        1000 *
        (1 + input.lossPercent / 100);
}

/**
 * What a spray can gives: cans = projected area × n ÷ (rate × e), with e the share that lands on the piece and no
 * texture factor, absorption or further loss. Source: the quantity model of the trade (common practice, from memory).
 */
export function sprayedAmount(input: QuantityInput): number {
  return (input.projectedAreaM2 * input.coats) / (input.spreadingRate * sprayEfficiency[input.detail]);
}

/** The share of a zone that a partial technique reaches, as a parameter in percent. */
export function shareParameter(standard: number, label = 'Reaches, % of the zone'): TechniqueParameter {
  return { id: 'sharePercent', label, kind: 'number', standard, minimum: 1, maximum: 100 };
}

/** The share of a zone that a technique covers, 0 to 1; all of it where it has no such setting. */
export const shareOf = (values: TechniqueValues): number => (values.sharePercent ?? 100) / 100;

/** Brushable waterborne paint in one of the ordinary tins. */
export const isBrushPaint = (coating: Coating): boolean =>
  coating.unit === 'mL' && coating.group === 'waterbornePaint' && coating.techniqueId === 'brushOn';

/** What goes on by brush or roller all over: ordinary paint and primer. */
const isBrushCoat = (coating: Coating): boolean =>
  coating.unit === 'mL' && coating.techniqueId === 'brushOn' && (coating.role === 'paint' || coating.role === 'primer');

/** A technique with what is usual: all over, by brush, nothing beside, nothing after. */
export function technique(
  own: Pick<Technique, 'id' | 'name' | 'words' | 'family' | 'remark' | 'accepts'> & Partial<Technique>,
): Technique {
  return {
    difficulty: 1,
    skillAsked: 'a first piece',
    lays: true,
    partial: false,
    parameters: [],
    place: 'ventilated',
    rate: { perM2: 'brush' },
    detailFactor: (detail) => detailFactors[detail].brush,
    toolIds: ['brush'],
    reach: () => 1,
    paintShare: () => 1,
    quantity: brushedAmount,
    spreadingRateKey: null,
    lossKey: null,
    residueKey: null,
    extras: [],
    coats: 'untilHidden',
    sheet: null,
    laterRate: null,
    opacity: (coating) => coating?.opacity ?? null,
    mixedLifeHours: null,
    demands: () => null,
    finishing: [],
    ...own,
  };
}

/** A roller reaches flat faces; what is profiled or open it goes over again and again (a modelling choice). */
const rollerFactors = { flat: 1, profiles: 2, spindles: 4, weave: 4 } as const;

/** Ordinary paint or primer by a roller, which loses more than a brush and leaves some in its tray. */
export function rolled(
  own: Pick<Technique, 'id' | 'name' | 'words' | 'remark' | 'rate' | 'residueKey'> & { toolId: string },
): Technique {
  const { toolId, ...rest } = own;
  return technique({
    family: 'cover',
    accepts: isBrushCoat,
    detailFactor: (detail) => rollerFactors[detail],
    // Edges and corners are cut in with a brush.
    toolIds: [toolId, 'brush'],
    lossKey: 'technique.roller.lossPercent',
    ...rest,
  });
}

/** A technique that reaches only part of a zone, once over. */
export function partialTechnique(
  standardPercent: number,
  own: Pick<Technique, 'id' | 'name' | 'words' | 'family' | 'remark' | 'accepts'> & Partial<Technique>,
): Technique {
  return technique({
    partial: true,
    parameters: [shareParameter(standardPercent)],
    reach: shareOf,
    coats: 1,
    ...own,
  });
}
