import { cureFactor } from '../../calendar/climate';
import { isWaterborne } from '../../catalog/coating';
import { coatings } from '../../catalog/coatings';
import type { AllowedInterval } from '../../state/joint';
import type { Place, Step } from '../../state/step';
import { cleanUpKey } from '../../technique';
import { isFilm } from '../../technique/sheetWork';
import type { Setback } from '../recipeBody';
import { mendings } from '../setbacks.data';
import { isMirrored } from '../sheetOn';
import { coatShare, coatStepId, type PlannedLayer, type ZoneStacks } from '../stack';
import { supplyKey } from '../supplyKey';
import type { ZonePlan } from '../zonePlans';
import { coatMinutes, coatRateKey, coatWork, type LaidOn } from './coatMinutes';
import { mendingPrimer } from './mendingPrimer';
import { prepare } from './prepareSteps';
import { layingHint, sheetSteps } from './sheetSteps';
import { openInterval, type StepBook } from './stepBook';
import { workStep } from './workStep';

function placeOf(layer: PlannedLayer): Place {
  const { hazard } = layer.coating;
  return hazard === 'spirit' || hazard === 'oil' || hazard === 'wax' ? 'ventilated' : layer.technique.place;
}

/** Lays one layer: its coats on one face, then, where both faces are coated, on the other after handling time. */
class LayerSteps {
  private readonly scopes: string[];
  private readonly handleHours: number;
  private readonly recoatIntervals: AllowedInterval[];
  private readonly coats: number;
  /** The color's name, where another layer is of the same coating and only the color tells them apart. */
  private readonly colorName: string | null;

  private readonly book: StepBook;
  private readonly layer: PlannedLayer;
  private readonly on: readonly LaidOn[];

  constructor(book: StepBook, layer: PlannedLayer, on: readonly LaidOn[], hasTwin: boolean) {
    this.book = book;
    this.layer = layer;
    this.on = on;
    const { coating } = layer;
    this.scopes = [`supply:${layer.supplyKey}`];
    this.handleHours = book.drying(
      book.number(`coating.${coating.id}.handleHours`, this.scopes),
      isWaterborne(layer.coating),
    );
    const recoat = book.number(`coating.${coating.id}.recoatHours`, this.scopes);
    const isLabelled =
      book.context.assumptions.get(`coating.${coating.id}.recoatHours`, this.scopes).source.kind !==
      coating.recoatHours.source.kind;
    this.recoatIntervals = book.dryingIntervals(
      coating.recoatIntervals.map((interval, index) =>
        index === 0 && isLabelled ? { ...interval, fromHours: recoat } : interval,
      ),
      isWaterborne(layer.coating),
    );
    const card = layer.colorCardId === null ? undefined : book.context.colorCards.get(layer.colorCardId);
    this.colorName = hasTwin ? (card?.name ?? null) : null;
    this.coats = Math.max(0, ...on.map(({ entry }) => entry.coats.coats));
  }

  /** What the first coat follows: the prepared surface, or the layer beneath by the joint that decides. */
  private firstAfter(below: { stepId: string; layer: PlannedLayer } | null): Step['after'] {
    const { book, layer } = this;
    const decisive = [...this.on].sort((a, b) => b.entry.joint.waitHours - a.entry.joint.waitHours)[0]?.entry.joint;
    if (below === null || !decisive) return book.afterLast();
    const allowed = decisive.allowed.length > 0 ? decisive.allowed : openInterval(decisive.waitHours);
    if (allowed[0]?.extraSteps.includes('scuff')) {
      const id = `scuff:${layer.id}`;
      const zones = this.on.map(({ zone }) => zone);
      book.last = {
        stepId: below.stepId,
        waitHours: book.drying(decisive.waitHours, isWaterborne(below.layer.coating)),
      };
      prepare(book, 'scuff', zones, id);
      const step = book.steps.at(-1);
      if (step) step.title = `Scuff lightly before the ${layer.coating.name.toLowerCase()}, wipe`;
      return book.afterLast();
    }
    return [{ stepId: below.stepId, allowed: book.dryingIntervals(allowed, isWaterborne(below.layer.coating)) }];
  }

  /** What a coat is called; of what is papered the first lays the sheets, the others go over them. */
  private titleOf(coat: number): string {
    const { coating, technique, sheet } = this.layer;
    if (sheet) {
      const design = sheet.design === null ? '' : `, ${sheet.design}`;
      const paper = `${sheet.kind.name.toLowerCase()}${design}`;
      return coat === 1
        ? `Lay ${paper}, in ${coating.name.toLowerCase()}`
        : `${coating.name} over it, coat ${coat - 1} of ${this.coats - 1}`;
    }
    const isUsual = !technique.partial && technique.id === coating.techniqueId;
    const what = isUsual ? coating.name : `${technique.name}: ${coating.name.toLowerCase()}`;
    const name = this.colorName === null ? what : `${what}, ${this.colorName}`;
    return this.coats === 1 ? name : `${name}, coat ${coat} of ${this.coats}`;
  }

  private coat(coat: number, face: 'all' | 'front' | 'back', after: Step['after'], again: Setback | null): string {
    const { book, layer } = this;
    const { coating, technique } = layer;
    const here = this.on.filter(
      ({ entry, zone }) => entry.coats.coats >= coat && (face !== 'back' || zone.zone.sides === 2),
    );
    const part = ({ zone }: LaidOn) => (face !== 'all' && zone.zone.sides === 2 ? 0.5 : 1);
    const sheets = coat === 1 && face !== 'back' && !again ? this.sheetsTaken(here) : [];
    const stepId = coatStepId(layer.id, coat, face === 'back' ? 'back' : 'first');
    const id = again ? `${stepId}:${again.id}` : stepId;
    const zones = here.map(({ zone }) => zone);
    const of = (zone: ZonePlan) => here.find((candidate) => candidate.zone === zone);
    const runMinutes = book.run(id, zones, coatRateKey(layer, coat), (zone) => {
      const laid = of(zone);
      if (!laid) return 0;
      const minutes = coatMinutes(coatWork(layer, laid, coat), (key) => book.number(key));
      return minutes * technique.detailFactor(zone.zone.detail) * part(laid);
    });
    const amountOf = (laid: LaidOn) => coatShare(laid.entry, coat) * part(laid) * laid.zone.pieceCount;
    const paint = here.reduce((sum, laid) => sum + amountOf(laid) * laid.entry.amount, 0);
    const waterMl = here.reduce((sum, laid) => sum + amountOf(laid) * laid.entry.waterMl, 0);
    const inTray = face === 'back' ? 0 : this.leaveInTray(id);
    if (again && !book.isSkipped(id))
      book.take(id, zones, layer.supplyKey, (zone) => {
        const laid = of(zone);
        return laid ? coatShare(laid.entry, coat) * laid.entry.amount * part(laid) : 0;
      });
    const words = [
      this.titleOf(coat),
      face === 'front' ? 'the first face' : face === 'back' ? 'the other face' : '',
      again ? 'once more' : '',
    ].filter((word) => word !== '');
    book.add({
      id,
      kind: 'coat',
      title: words.join(', '),
      hint: coat === 1 && face !== 'back' ? layingHint(layer) : '',
      zoneKeys: zones.map((zone) => zone.key),
      layerId: layer.id,
      coat,
      // Front and back are one session: the paint is open once.
      setUpMinutes: face === 'back' || again ? 0 : book.number('session.setUpMinutes'),
      runMinutes,
      cleanUpMinutes: face === 'back' || again ? 0 : book.number(cleanUpKey(coating)),
      splittable: false,
      batchKey: `${layer.supplyKey}|${technique.id}`,
      place: placeOf(layer),
      limits: coating.limits,
      drying: {
        touchHours: book.drying(coating.touchHours.usual, isWaterborne(layer.coating)),
        untilHours: this.handleHours,
        cureDays:
          book.number(`coating.${coating.id}.fullCureDays`, this.scopes) *
          cureFactor(book.climate, isWaterborne(layer.coating)),
        footprintM2: Math.max(0.1, here.reduce((sum, { zone }) => sum + zone.projectedAreaM2 * zone.pieceCount, 0) / 4),
      },
      potLifeHours: coating.mixedLifeHours ?? technique.mixedLifeHours,
      // What is cut is taken from its stock by the layout; a step pours only what is wet.
      supplies: [...(isFilm(coating) ? [] : [{ supplyKey: layer.supplyKey, amount: paint + inTray }]), ...sheets],
      mix: waterMl > 0 ? { paint, waterMl, keepsHours: technique.mixedLifeHours } : null,
      tools: [...technique.toolIds, ...(isMirrored(layer) ? ['iron'] : [])],
      after,
    });
    return id;
  }

  /** What is taken of paper or cloth without a layout, all pieces together: torn sheets, motifs. */
  private sheetsTaken(here: readonly LaidOn[]): Step['supplies'] {
    const taken = new Map<string, number>();
    for (const { entry, zone } of here)
      if (entry.sheet && entry.sheet.demand.units > 0)
        taken.set(
          entry.sheet.supplyKey,
          (taken.get(entry.sheet.supplyKey) ?? 0) + entry.sheet.demand.units * zone.pieceCount,
        );
    return [...taken].map(([supplyKey, amount]) => ({ supplyKey, amount }));
  }

  /** What stays in tray and nap once for the session; gives it in mL. */
  private leaveInTray(stepId: string): number {
    const { id, supplyKey, technique } = this.layer;
    return technique.residueKey === null
      ? 0
      : this.book.leave(stepId, id, supplyKey, this.book.number(technique.residueKey));
  }

  /** A weave is not sanded: the paper reaches only what stands up. */
  private isSandedBetween(): boolean {
    return this.layer.coating.sandBetween && this.on.some(({ zone }) => zone.zone.detail !== 'weave');
  }

  /** A light scuff between two coats; gives what the next coat follows. */
  private sandBetween(coat: number, face: string, afterStepId: string): Step['after'] {
    const { book, layer } = this;
    const id = `sandBetween:${layer.id}:${coat}${face === 'back' ? ':back' : ''}`;
    const zones = this.on
      .filter(({ entry, zone }) => entry.coats.coats > coat && zone.zone.detail !== 'weave')
      .map(({ zone }) => zone);
    const key = 'labor.sandBetweenMinutesPerM2';
    const half = face === 'all' ? 1 : 0.5;
    book.add({
      id,
      kind: 'sandBetween',
      title: 'Scuff lightly with P320, wipe',
      zoneKeys: zones.map((zone) => zone.key),
      layerId: layer.id,
      runMinutes: book.run(
        id,
        zones,
        key,
        (zone) => zone.areaM2 * book.number(key) * (zone.zone.sides === 2 ? half : 1),
      ),
      tools: ['sandingBlock', 'dustMask'],
      after: [{ stepId: afterStepId, allowed: this.recoatIntervals }],
    });
    return [{ stepId: id, allowed: openInterval(0) }];
  }

  /** What mends a coat that went wrong, then the coats it takes again. */
  private mend(setback: Setback, face: 'all' | 'front', failedStepId: string): string {
    const { book, layer } = this;
    const mending = mendings[setback.problem];
    const zones = this.on.map(({ zone }) => zone);
    book.last = { stepId: failedStepId, waitHours: book.drying(mending.restHours, isWaterborne(layer.coating)) };
    for (const work of mending.works) {
      prepare(book, work, zones, `mend:${setback.id}:${work}`);
      const step = book.steps.at(-1);
      if (step) step.kind = 'mend';
    }
    const primer = mending.primerId === null ? undefined : coatings.find(mending.primerId);
    if (primer) mendingPrimer(book, setback, primer, zones);
    let after = book.afterLast();
    let last = failedStepId;
    for (let coat = mending.repeats === 'layer' ? 1 : setback.coat; coat <= setback.coat; coat += 1) {
      last = this.coat(coat, face, after, setback);
      after = [{ stepId: last, allowed: this.recoatIntervals }];
    }
    return last;
  }

  /** All steps of the layer; gives the step that the next layer follows. */
  build(below: { stepId: string; layer: PlannedLayer } | null): { stepId: string; layer: PlannedLayer } | null {
    const { book, layer } = this;
    if (this.coats === 0) return below;
    const ready = sheetSteps(book, layer, this.on);
    let after = this.firstAfter(below);
    if (ready) after = [...after, { stepId: ready.stepId, allowed: openInterval(ready.waitHours) }];
    // What is wiped off can be turned at once; a film has to bear its own weight first.
    const isTurned = layer.coating.film !== 'none' && this.on.some(({ zone }) => zone.zone.sides === 2);
    const faces: ('all' | 'front' | 'back')[] = isTurned ? ['front', 'back'] : ['all'];
    let last = '';
    for (const face of faces) {
      if (face === 'back') after = [{ stepId: last, allowed: openInterval(this.handleHours) }];
      for (let coat = 1; coat <= this.coats; coat += 1) {
        last = this.coat(coat, face, after, null);
        after = [{ stepId: last, allowed: this.recoatIntervals }];
        if (face !== 'back')
          for (const setback of book.body.setbacks)
            if (setback.layerId === layer.id && setback.coat === coat) {
              last = this.mend(setback, face, last);
              after = [{ stepId: last, allowed: this.recoatIntervals }];
            }
        if (this.isSandedBetween() && coat < this.coats) after = this.sandBetween(coat, face, last);
      }
    }
    this.extras();
    const finished = this.finishing(last);
    return { stepId: finished, layer };
  }

  /** Supplies beside the coating: rags, tape. */
  private extras(): void {
    const { book, layer } = this;
    const firstCoat = book.steps.find((step) => step.layerId === layer.id && step.coat === 1);
    for (const extra of layer.technique.extras) {
      const key = supplyKey(extra.kindId, null, null);
      const zones = this.on.map(({ zone }) => zone);
      const amount = book.take(firstCoat?.id ?? '', zones, key, (zone) => {
        const laid = this.on.find((candidate) => candidate.zone === zone);
        return laid ? laid.entry.reachedM2.textured * extra.perM2 : 0;
      });
      firstCoat?.supplies.push({ supplyKey: key, amount });
    }
  }

  private finishing(afterStepId: string): string {
    const { book, layer } = this;
    let last = afterStepId;
    for (const work of layer.technique.finishing) {
      const id = `finish:${layer.id}:${work.id}`;
      const zones = this.on.map(({ zone }) => zone);
      const key = `labor.${work.rate}MinutesPerM2`;
      book.add({
        id,
        kind: 'finish',
        title: work.title,
        zoneKeys: zones.map((zone) => zone.key),
        layerId: layer.id,
        runMinutes: book.run(id, zones, key, (zone) => zone.areaM2 * book.number(key)),
        after: [{ stepId: last, allowed: openInterval(book.drying(work.waitHours, isWaterborne(layer.coating))) }],
      });
      last = id;
    }
    return last;
  }
}

/** The steps of all layers and works from the bottom up; gives the last one with its layer. */
export function layerSteps(
  book: StepBook,
  worked: readonly ZonePlan[],
  stacked: ZoneStacks,
): { stepId: string; layer: PlannedLayer } | null {
  let below: { stepId: string; layer: PlannedLayer } | null = null;
  const order = [
    ...stacked.layers.map((layer) => ({ order: layer.order, layer, work: null })),
    ...stacked.works.map((work) => ({ order: work.order, layer: null, work })),
  ].sort((a, b) => a.order - b.order);
  for (const { layer, work } of order) {
    if (layer) {
      const on = worked.flatMap((zone) => {
        const entry = stacked.stacks.get(zone.key)?.find((candidate) => candidate.layerId === layer.id);
        return entry ? [{ zone, entry }] : [];
      });
      const hasTwin = stacked.layers.some((other) => other !== layer && other.coating === layer.coating);
      below = new LayerSteps(book, layer, on, hasTwin).build(below);
    } else if (work) {
      const stepId = workStep(book, work, worked, below);
      if (below) below = { stepId, layer: below.layer };
    }
  }
  return below;
}
