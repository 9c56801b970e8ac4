import type { UnitSystem } from '../kernel/units';
import { blankSighting } from '../model/blankSighting';
import type { FindRow } from '../model/rows';
import { plainStory } from '../pricing/priceStory';
import { asTemplateAsks, completeMeasures, usualMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { pieceKindOf } from './pieceKindOf';
import type { QuickLine } from './quickLine';
import { saidSurface } from './saidSurface';

/** The most letters of a name, and of a note. */
const NAME = 120;
const NOTE = 2000;

/** A name that is no longer than names are; what does not fit stands whole in the note. */
function shortName(said: string, note: string): { name: string; note: string } {
  const name = said.length <= NAME ? said : `${said.slice(0, NAME - 1).trimEnd()}…`;
  return { name, note: (name === said ? note : [said, note].filter((text) => text !== '').join(', ')).slice(0, NOTE) };
}

/**
 * A find from a quick line: what was not said is proposed from the kind of piece. Its age is open, as nearly every
 * thrift find's is; a lamp's cord is unknown until somebody looks.
 * @param id made on the device, as is that of the piece that it is
 * @param units in whose round sizes the usual measures are proposed
 */
export function newFind(id: string, pieceId: string, line: QuickLine, units: UnitSystem): Omit<FindRow, 'version'> {
  const template = furnitureTemplates.get(line.templateId ?? 'freeBox');
  const known = asTemplateAsks(template, line.measures);
  const isLamp = template.traits.includes('lamp');
  return {
    id,
    ...blankSighting,
    ...shortName(line.name, line.note),
    state: 'seen',
    // What cautions ask of it: a lamp, a candle, something to eat from, a crib.
    kind: isLamp ? 'lamp' : (pieceKindOf(line.name)?.care ?? 'ordinary'),
    templateId: template.id,
    measures: completeMeasures(template, { ...usualMeasures(template, units), ...known }),
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
    count: line.usable,
    counted: line.counted,
    freshDays: line.freshDays,
    inHouse: false,
    borrowedFrom: '',
    backBy: null,
    inspected: [],
    sorted: true,
    pieceId,
  };
}
