import { coatings } from '../../catalog/coatings';
import { sprayEfficiency } from '../../catalog/labor.data';
import { CUTTING_MACHINE } from '../../catalog/tools';
import { laborKey } from '../../technique';
import { CARD_FROM_G } from '../coatCount';
import { isMirrored } from '../sheetOn';
import { coatingRateKey, type PlannedLayer } from '../stack';
import { supplyKey } from '../supplyKey';
import type { ZonePlan } from '../zonePlans';
import type { LaidOn } from './coatMinutes';
import { openInterval, type StepBook } from './stepBook';

/** Mist coats that seal a print, on each of its faces (common practice, from memory). */
const MIST_COATS = 2;
const MIST_FACES = 2;
/** Hours until sealed ink may get wet (30 to 60 minutes; common practice, from memory). */
const SEALED_AFTER_HOURS = 0.75;
/** What seals ink before it meets water. */
const SEALER = 'aerosolClear';

/** Whether a machine cuts what is laid. */
const isByMachine = (on: readonly Pick<LaidOn, 'entry'>[]): boolean =>
  on.some(({ entry }) => entry.sheet?.demand.byMachine ?? false);

/** The rate that cutting goes by, a meter. */
export const cutRateKey = (on: readonly Pick<LaidOn, 'entry'>[]): string =>
  laborKey({ each: isByMachine(on) ? 'machineMeter' : 'cutMeter' });

/** Meters of cut that pieces take on one piece of a zone: all around each of them. */
export function cutMeters({ entry }: Pick<LaidOn, 'entry'>): number {
  const demand = entry.sheet?.demand;
  if (demand?.cutMm !== undefined) return demand.cutMm / 1000;
  const pieces = demand?.pieces ?? [];
  return pieces.reduce((sum, { widthMm, lengthMm, count }) => sum + (2 * (widthMm + lengthMm) * count) / 1000, 0);
}

/**
 * What comes before sheets are laid: ink that runs is sealed, then the pieces are cut, by the layout. Both can be done
 * while something else dries.
 * @returns the step that laying has to wait for beside what lies beneath; null where nothing is cut
 */
export function sheetSteps(
  book: StepBook,
  layer: PlannedLayer,
  on: readonly LaidOn[],
): { stepId: string; waitHours: number } | null {
  const cut = on.filter((laid) => cutMeters(laid) > 0);
  const sealed = sealInk(book, layer, on);
  if (cut.length === 0) return sealed;
  const id = `cut:${layer.id}`;
  const zones = cut.map(({ zone }) => zone);
  const byMachine = isByMachine(cut);
  const rateKey = cutRateKey(cut);
  const of = new Map(cut.map((laid) => [laid.zone, laid]));
  const minutes = (zone: ZonePlan) => {
    const laid = of.get(zone);
    return laid ? cutMeters(laid) * book.number(rateKey) : 0;
  };
  const count = Math.round(
    cut.reduce(
      (sum, { entry, zone }) =>
        sum + zone.pieceCount * (entry.sheet?.demand.pieces ?? []).reduce((all, piece) => all + piece.count, 0),
      0,
    ),
  );
  const what = layer.sheet?.kind.name ?? layer.coating.name;
  book.add({
    id,
    kind: 'cut',
    title: `Cut ${count === 1 ? 'the piece' : `the ${count} pieces`} from ${what.toLowerCase()}`,
    hint: cuttingHint(layer, byMachine),
    zoneKeys: zones.map((zone) => zone.key),
    layerId: layer.id,
    // A machine is loaded once, however much it cuts.
    setUpMinutes: byMachine ? book.number('labor.machineLoadMinutesEach') : 0,
    runMinutes: book.run(id, zones, rateKey, minutes),
    supplies: transferTape(book, layer, cut, id),
    tools: byMachine
      ? [CUTTING_MACHINE]
      : layer.sheet
        ? ['scissors', 'craftKnife', 'steelRule']
        : ['craftKnife', 'steelRule'],
    after: sealed ? [{ stepId: sealed.stepId, allowed: openInterval(sealed.waitHours) }] : [],
  });
  return { stepId: id, waitHours: 0 };
}

/** What to mind while cutting: which way round, with what. */
function cuttingHint(layer: PlannedLayer, byMachine: boolean): string {
  const words = [
    isMirrored(layer)
      ? 'mirrored, its shiny carrier down: it is pressed on from its back'
      : 'by the layout; mark the back of each with its place',
    byMachine ? 'a small test cut first: through the film, not through its paper' : '',
  ];
  return words.filter((word) => word !== '').join('; ');
}

/** How often a piece of transfer tape carries (2 to 4 times), and how wide it is, m (common practice, from memory). */
const TAPE_USES = 2;
const TAPE_WIDTH_M = 0.3048;

/** Tape that carries shapes from their backing; what is pressed on lies on a carrier of its own. */
function transferTape(book: StepBook, layer: PlannedLayer, on: readonly LaidOn[], stepId: string) {
  const of = new Map(on.map(({ zone, entry }) => [zone, entry.sheet?.demand.transferM2 ?? 0]));
  if (isMirrored(layer) || [...of.values()].every((area) => area === 0)) return [];
  const key = supplyKey('transferTape', null, null);
  const amount = book.take(
    stepId,
    on.map(({ zone }) => zone),
    key,
    (zone) => (of.get(zone) ?? 0) / TAPE_WIDTH_M / TAPE_USES,
  );
  return [{ supplyKey: key, amount }];
}

/** Two mist coats of clear on each face of prints whose ink runs in water. */
function sealInk(
  book: StepBook,
  layer: PlannedLayer,
  on: readonly LaidOn[],
): { stepId: string; waitHours: number } | null {
  if (layer.sheet?.kind.paper?.print !== 'inkjet') return null;
  const sealer = coatings.get(SEALER);
  const id = `sealInk:${layer.id}`;
  const zones = on.map(({ zone }) => zone);
  const coats = MIST_COATS * MIST_FACES;
  const of = new Map(on.map(({ zone, entry }) => [zone, entry]));
  const areaOf = (zone: ZonePlan) => (of.get(zone)?.reachedM2.projected ?? 0) * coats;
  const key = supplyKey(sealer.id, null, sealer.sheens[0] ?? 'matt');
  const rate = book.number(coatingRateKey(sealer), [`supply:${key}`]) * sprayEfficiency.flat;
  const rateKey = 'labor.sprayMinutesPerM2';
  book.add({
    id,
    kind: 'sealInk',
    title: 'Seal the prints: two mist coats of clear on each face',
    hint: 'inkjet dye runs in water: try one that you can lose; laser prints need none',
    zoneKeys: zones.map((zone) => zone.key),
    layerId: layer.id,
    setUpMinutes: 0,
    runMinutes: book.run(id, zones, rateKey, (zone) => areaOf(zone) * book.number(rateKey)),
    supplies: [{ supplyKey: key, amount: book.take(id, zones, key, (zone) => areaOf(zone) / rate) }],
    place: 'outdoors',
    limits: sealer.limits,
    splittable: false,
    after: [],
  });
  return { stepId: id, waitHours: SEALED_AFTER_HOURS };
}

/** What a paper asks for when it is laid, as its hand knows it: plies peeled, card damped, thin paper laid dry. */
export function layingHint({ sheet, technique, values }: PlannedLayer): string {
  const paper = sheet?.kind.paper;
  const words = [technique.remark];
  if (paper && paper.plies > 1) words.push(`peel it to the printed ply: of ${paper.plies} only that one is laid`);
  if (paper && paper.gramsPerM2 >= CARD_FROM_G) words.push('damp card on both faces and let it relax for two minutes');
  if (paper && paper.gramsPerM2 < 40) words.push('lay it dry and brush the medium through');
  if ((values.holes ?? 0) > 0)
    words.push(
      `${values.holes} ${values.holes === 1 ? 'hole' : 'holes'} in each face, where the guide shows ${values.holes === 1 ? 'it' : 'them'}: prick from behind and ${paper ? 'wet away, or cut once dry' : 'cut out'}`,
    );
  return words.join('; ');
}
