import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { useDemands } from '../catalog/uses.data';
import type { ZoneUse } from '../surface/zone';

/** Whether a finish asks for a clear coat in a use; on a wall or a ceiling none does. */
export function asksForTopcoat(coating: Coating, use: ZoneUse): boolean {
  if (use === 'wall') return false;
  const { wear } = useDemands[use];
  switch (coating.topcoat) {
    case 'always':
      return true;
    case 'handled':
      return wear !== 'seen';
    case 'hardWear':
      return wear === 'hard';
    case 'never':
      return coating.outdoors === 'ifSealed' && use === 'outdoors';
    case 'forbidden':
      return false;
    default:
      return coating.topcoat satisfies never;
  }
}

/** The clear coat proposed over a finish: sprayed over sprayed, oil over oil, one for outdoors where it stands out. */
export function topcoatFor(coating: Coating, use: ZoneUse): Coating {
  if (coating.unit === 'can') return coatings.get('aerosolClear');
  if (use === 'outdoors') return coatings.get(coating.hazard === 'oil' ? 'oilPolyurethane' : 'waterbornePolyurethane');
  return coatings.get('waterClear');
}
