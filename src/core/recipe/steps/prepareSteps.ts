import { preparationSupplyKey } from '../../catalog/assumptions';
import { LEAD_TEST, type preparationSupplies } from '../../catalog/labor.data';
import { preparations } from '../../catalog/preparations.data';
import { type PreparationKind, preparationKinds } from '../../state/preparation';
import { completeMeasures } from '../../surface/furnitureTemplate';
import { furnitureTemplates } from '../../surface/templates';
import { zoneEdgeM } from '../../surface/zone';
import type { ZoneStacks } from '../stack';
import { supplyKey } from '../supplyKey';
import { trialReason, trialWords } from '../trialPatch';
import { workpieceId } from '../workpiece';
import type { ZonePlan } from '../zonePlans';
import { mendFlaws } from './mendFlaws';
import type { StepBook } from './stepBook';

/** Minutes of a test patch, and the hours until tape is pulled off it (common practice, from memory). */
const PATCH_MINUTES = 5;
const PATCH_HOURS = 24;

const keysOf = (zones: readonly ZonePlan[]): string[] => zones.map((zone) => zone.key);

function leadTest(book: StepBook, worked: readonly ZonePlan[]): void {
  const open = worked.filter(
    (zone) => zone.noSand && book.context.pieces.get(zone.workpieceId)?.leadTest === 'notTested',
  );
  if (open.length === 0) return;
  book.add({
    id: 'leadTest',
    kind: 'leadTest',
    title: 'Test the old finish for lead',
    zoneKeys: keysOf(open),
    splittable: false,
    leastChunkMinutes: LEAD_TEST.minutes,
    after: [],
  });
}

/**
 * On an uncertain surface a patch comes first, of several like pieces one of them: what is tried there cannot be lost
 * on the whole.
 */
function testPatch(book: StepBook, worked: readonly ZonePlan[], stacked: ZoneStacks): void {
  const layers = new Map(stacked.layers.map((layer) => [layer.id, layer]));
  const uncertain = worked.flatMap((zone) => {
    const piece = book.body.pieces.find((candidate) => candidate.id === zone.pieceId);
    const facts = book.context.pieces.get(zone.workpieceId);
    const reason = trialReason(zone, stacked.stacks.get(zone.key) ?? [], layers, { piece, facts });
    return reason === null ? [] : [{ zone, reason }];
  });
  const first = uncertain[0];
  if (!first) return;
  const reasons = [...new Set(uncertain.map(({ reason }) => reason))];
  const hasMany = uncertain.some(({ zone }) => zone.pieceCount > 1);
  const because = reasons.map((reason) => trialWords[reason]).join('; ');
  book.next(
    {
      id: 'testPatch',
      kind: 'testPatch',
      title: hasMany
        ? 'Trial piece first: prepare one of them, lay one coat of each layer'
        : 'Test patch out of sight: prepare it, lay one coat of each layer',
      hint: `because ${because}. After 24 h: press tape on, pull it off sharply, look for lifting, fish-eyes, wrinkles and bleeding. What fails here fails everywhere`,
      zoneKeys: uncertain.map(({ zone }) => zone.key),
      runMinutes: PATCH_MINUTES,
      splittable: false,
      leastChunkMinutes: PATCH_MINUTES,
      ...(reasons.includes('ownTest') ? { source: { kind: 'you' } as const } : {}),
    },
    PATCH_HOURS,
  );
  if (!book.isSkipped('testPatch'))
    book.runs.push({
      workpieceId: first.zone.workpieceId,
      stepId: 'testPatch',
      minutes: PATCH_MINUTES / first.zone.pieceCount,
      spread: 0.17,
    });
}

/** Minutes of taking apart and putting back, half each; and what the piece is. */
export function hardwareOf(book: StepBook, worked: readonly ZonePlan[]) {
  const pieces = book.body.pieces
    .filter((piece) => worked.some((zone) => zone.pieceId === piece.id))
    .flatMap((piece) => {
      const template = furnitureTemplates.find(piece.templateId);
      return template
        ? [{ piece, template, minutes: template.hardwareMinutes(completeMeasures(template, piece.measures)) }]
        : [];
    });
  return {
    minutes: pieces.reduce((sum, { piece, minutes }) => sum + minutes * piece.count, 0),
    isLamp: pieces.some(({ template }) => template.traits.includes('lamp')),
    /** Half of the work for one step, each find's share recorded. */
    half(stepId: string): number {
      if (book.isSkipped(stepId)) return 0;
      const total = this.minutes * 0.5 * book.skill;
      const overruled = book.body.stepEdits[stepId]?.runMinutes;
      const factor = overruled !== undefined && total > 0 ? overruled / total : 1;
      for (const { piece, minutes } of pieces)
        if (minutes > 0)
          book.runs.push({
            workpieceId: workpieceId(piece),
            stepId,
            minutes: minutes * 0.5 * book.skill * factor,
            spread: overruled === undefined ? 0.17 + book.skillSpread : 0,
          });
      return total;
    },
  };
}

function dismantle(book: StepBook, worked: readonly ZonePlan[]): void {
  const hardware = hardwareOf(book, worked);
  if (hardware.minutes <= 0) return;
  book.next(
    {
      id: 'dismantle',
      kind: 'dismantle',
      title: hardware.isLamp
        ? 'Unplug; shade and bulb off, mask fitting and cord'
        : 'Take apart, label the parts, remove knobs',
      hint: hardware.isLamp ? '' : 'number each part and its place; hardware into a labeled bag',
      zoneKeys: keysOf(worked),
      runMinutes: hardware.half('dismantle'),
      tools: ['screwdriver'],
    },
    0,
  );
}

/** One preparation over the zones that need it. */
export function prepare(book: StepBook, kind: PreparationKind, zones: readonly ZonePlan[], id: string = kind): void {
  if (zones.length === 0) return;
  const work = preparations[kind];
  const rateKey = work.rate === 'sealEdge' ? 'labor.sealEdgeMinutesEach' : `labor.${work.rate}MinutesPerM2`;
  const rate = book.number(rateKey);
  const runMinutes = book.run(id, zones, rateKey, (zone) =>
    work.rate === 'sealEdge' ? zoneEdgeM(zone.zone) * rate : zone.areaM2 * rate,
  );
  const supplies = work.takes.map((taken) => {
    const key = supplyKey(taken.kindId, null, null);
    const perM2 = book.number(preparationSupplyKey(taken.figure as keyof typeof preparationSupplies));
    return { supplyKey: key, amount: book.take(id, zones, key, (zone) => zone.areaM2 * perM2) };
  });
  const dry = work.dryHours ?? Math.max(...zones.map((zone) => book.number(`substrate.${zone.material.id}.dryHours`)));
  book.next(
    {
      id,
      kind,
      title: work.title,
      hint: work.how,
      zoneKeys: keysOf(zones),
      runMinutes,
      tools: [...work.tools],
      supplies,
      place: kind === 'strip' || kind === 'dewax' ? 'ventilated' : 'indoors',
    },
    book.drying(dry, true),
  );
}

/** Masks what a spray must not reach: the zones of the same pieces that it leaves out. */
function mask(book: StepBook, worked: readonly ZonePlan[], all: readonly ZonePlan[], stacked: ZoneStacks): void {
  const sprayed = stacked.layers.filter((layer) => layer.coating.unit === 'can');
  if (sprayed.length === 0) return;
  const reached = new Set(
    worked
      .filter((zone) =>
        stacked.stacks.get(zone.key)?.some((entry) => sprayed.some((layer) => layer.id === entry.layerId)),
      )
      .map((zone) => zone.key),
  );
  const pieces = new Set(worked.filter((zone) => reached.has(zone.key)).map((zone) => zone.pieceId));
  const kept = all.filter((zone) => pieces.has(zone.pieceId) && !reached.has(zone.key) && zone.projectedAreaM2 > 0);
  if (kept.length === 0) return;
  const tape = book.number('prepare.tapePerEdge');
  // The outline of what is kept, as if it were a square of its area (a modelling choice).
  const meters = (zone: ZonePlan) => 4 * Math.sqrt(zone.projectedAreaM2) * tape;
  const rateKey = 'labor.maskMeterMinutesEach';
  const key = supplyKey('maskingTape', null, null);
  book.next(
    {
      id: 'mask',
      kind: 'mask',
      title: `Mask ${kept.map((zone) => zone.zone.name.toLowerCase()).join(', ')}`,
      hint: 'paper behind the tape; pull it off while the last coat is still soft',
      zoneKeys: keysOf(kept),
      runMinutes: book.run('mask', kept, rateKey, (zone) => meters(zone) * book.number(rateKey)),
      supplies: [{ supplyKey: key, amount: book.take('mask', kept, key, meters) }],
    },
    0,
  );
}

/** Everything before the first layer: lead test, test patch, taking apart, then works in their order, masking last. */
export function prepareSteps(
  book: StepBook,
  worked: readonly ZonePlan[],
  all: readonly ZonePlan[],
  stacked: ZoneStacks,
): void {
  leadTest(book, worked);
  testPatch(book, worked, stacked);
  dismantle(book, worked);
  mendFlaws(book, worked);
  const isScuffed = (zone: ZonePlan): boolean => {
    const verdict = stacked.stacks.get(zone.key)?.[0]?.joint.verdict;
    // A weave is brushed out, and cloth and leaves are only cleaned.
    const canBe = zone.zone.detail !== 'weave' && (zone.substrate.layer === 'oldFinish' || zone.material.scuffs);
    return (verdict === 'scuff' || verdict === 'notKnown') && !zone.noSand && canBe;
  };
  for (const kind of preparationKinds)
    prepare(
      book,
      kind,
      worked.filter((zone) => {
        if (kind === 'scuff') return isScuffed(zone);
        // Paper rubs grease into a surface that was not washed before.
        const beforeScuff = kind === 'clean' && isScuffed(zone) && !preparations.clean.spoils?.[zone.material.id];
        return zone.works.includes(kind) || beforeScuff;
      }),
    );
  mask(book, worked, all, stacked);
}
