import type { FindRow } from '../model/rows';
import { plainStory } from '../pricing/priceStory';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import type { QuickLine } from './quickLine';
import { saidSurface } from './saidSurface';

/**
 * A find from a quick line: what was not said is proposed from the kind of piece. Its age is open, as nearly every
 * thrift find's is; a lamp's cord is unknown until somebody looks.
 * @param id made on the device, as is that of the piece that it is
 */
export function newFind(id: string, pieceId: string, line: QuickLine): Omit<FindRow, 'version'> {
  const template = furnitureTemplates.get(line.templateId ?? 'freeBox');
  const known = Object.fromEntries(
    Object.entries(line.measures).filter(([key]) => template.measures.some((measure) => measure.id === key)),
  );
  const isLamp = template.traits.includes('lamp');
  return {
    id,
    name: line.name,
    source: '',
    state: 'seen',
    kind: isLamp ? 'lamp' : 'ordinary',
    templateId: template.id,
    measures: completeMeasures(template, known),
    ...saidSurface(line, template),
    color: null,
    era: 'unknown',
    leadTest: 'notTested',
    cordCondition: isLamp ? 'unknown' : 'none',
    story: {
      // What belongs to the building is there already and costs nothing by itself.
      ...plainStory(line.tag ?? { state: template.traits.includes('fixture') ? 'free' : 'unknown' }),
      lines: line.lines,
      quantity: line.quantity,
      pieces: line.pieces,
    },
    repairMinutes: line.repairMinutes,
    note: line.note,
    reason: '',
    archived: false,
    count: line.usable,
    counted: line.counted,
    freshDays: line.freshDays,
    inHouse: false,
    pieceId,
  };
}
