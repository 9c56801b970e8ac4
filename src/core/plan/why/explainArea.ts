import { type Explained, explain } from '../../kernel/explained';
import { calculated, fromYou } from '../../kernel/source';
import type { ZonePlan } from '../../recipe/zonePlans';

const measureNames: Record<string, string> = {
  widthMm: 'Width',
  depthMm: 'Depth',
  heightMm: 'Height',
  edgeMm: 'Edge',
  diameterMm: 'Diameter',
  lengthMm: 'Length',
  openWidthMm: 'Opening, width',
  openHeightMm: 'Opening, height',
  mouldingMm: 'Moulding',
  meanDiameterMm: 'Mean diameter',
  topMm: 'Thick above',
  footMm: 'Thick below',
};

/** Why a zone has its area: what was measured, how many, how many sides. */
export function explainArea(zone: ZonePlan): Explained {
  const { shape, count, sides, name } = zone.zone;
  const because = Object.entries(shape).flatMap(([key, value]): Explained[] =>
    typeof value === 'number' && key.endsWith('Mm')
      ? [explain(measureNames[key] ?? key.slice(0, -2), value, 'mm', { source: fromYou })]
      : typeof value === 'number' && key === 'areaM2'
        ? [explain('Area of one side', value, 'm2', { source: calculated })]
        : [],
  );
  if (shape.kind === 'faces') {
    for (const face of shape.faces)
      because.push(
        explain(face.name, (face.widthMm * face.heightMm * face.count) / 1e6, 'm2', {
          source: calculated,
          note: face.count > 1 ? `${face.count} alike` : '',
          because: [
            explain('Width', face.widthMm, 'mm', { source: fromYou }),
            explain('Height', face.heightMm, 'mm', { source: fromYou }),
          ],
        }),
      );
    if (shape.openM2 > 0) because.push(explain('Open in it', -shape.openM2, 'm2', { source: calculated }));
  }
  if (count > 1) because.push(explain('How many', count, 'each', { source: fromYou }));
  if (sides > 1) because.push(explain('Both sides', sides, 'each', { source: fromYou }));
  return explain(name, zone.projectedAreaM2, 'm2', { source: calculated, note: 'elementary geometry', because });
}
