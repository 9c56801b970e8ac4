import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { useDemands } from '../catalog/uses.data';
import { mixLab } from '../color/lab';
import { isBroken, type Joint } from '../state/joint';
import type { Sheen } from '../state/surfaceState';
import type { QuantityInput } from '../technique/technique';
import { barrierFor } from './barriers';
import { type Candidate, type CandidateWork, proposedCandidate } from './candidates';
import { coatCountFor } from './coatCount';
import { decisiveJoint, type Exposed, uppermost } from './exposed';
import { foodFinding } from './foodZone';
import { colorLaid, stateAfter } from './laidState';
import { isLeftOut, laidShare, reliedOnFindings } from './leftOut';
import type { RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import { sheetOn } from './sheetOn';
import { lossKey, type PlannedLayer, type PlannedWork, type StackEntry, spreadingRateKey } from './stack';
import { supplyKey } from './supplyKey';
import { tintOffer } from './tintedPrimer';
import { asksForTopcoat, topcoatFor } from './topcoats';
import { whiteBaseFor } from './whiteBase';
import type { ZonePlan } from './zonePlans';

/** A surface lighter than this step up counts as the same: a stain may be a shade lighter than what is there. */
const LIGHTER_L = 3;

/** What the zones of a recipe have in common. */
export interface Shared {
  layers: Map<string, PlannedLayer>;
  works: Map<string, PlannedWork>;
  /** What there is to say, in the order in which it came up; words that take computing wait until they are asked for. */
  remarks: (() => RecipeFinding | null)[];
}

/** Stacks layers on one zone; what is found goes to the shared lists. */
export class ZoneStacker {
  readonly entries: StackEntry[] = [];
  exposed: Exposed;
  /** Coatings that lie open at the end, each asking for its own protection. */
  open: Coating[] = [];

  private readonly zone: ZonePlan;
  private readonly body: RecipeBody;
  private readonly context: RecipeContext;
  private readonly shared: Shared;

  constructor(zone: ZonePlan, body: RecipeBody, context: RecipeContext, shared: Shared) {
    this.zone = zone;
    this.body = body;
    this.context = context;
    this.shared = shared;
    this.exposed = [zone.present];
  }

  private say(finding: RecipeFinding): void {
    this.shared.remarks.push(() => finding);
  }

  jointOf(candidate: Candidate): Joint {
    const { coating, technique, sheen, color } = candidate;
    return decisiveJoint(this.exposed, { coating, technique, sheen, color, noSand: this.zone.noSand });
  }

  lay(candidate: Candidate, joint: Joint): void {
    const { zone, context, body } = this;
    const { coating, technique, values } = candidate;
    const below = uppermost(this.exposed);
    const key = supplyKey(coating.id, candidate.colorCardId, candidate.sheen);
    const coats = coatCountFor({
      coating,
      technique,
      overruled: candidate.coats,
      school: body.school ?? context.school,
      labelCoats: body.labelCoats,
      eye: context.eye,
      under: below.color,
      target: candidate.color,
      use: zone.zone.use,
      moreCoatsPerCoat: context.assumptions.moreCoatsPerCoat(coating.id),
      paperGrams: candidate.sheet?.kind.paper?.gramsPerM2 ?? null,
    });
    if (!this.shared.layers.has(candidate.id)) {
      const { coats: _asked, ...layer } = candidate;
      const color = colorLaid(candidate, below.color, coats.coats);
      this.shared.layers.set(candidate.id, { supplyKey: key, ...layer, color });
    }
    // Absorption belongs to the first layer alone: a primer, when there is one, takes it.
    const bare = zone.present.origin === 'material' ? zone.material : zone.substrate;
    const absorptionKey = this.entries.length === 0 ? `substrate.${bare.id}.absorption` : null;
    const reach = technique.reach(values);
    const scopes = [`supply:${key}`];
    const loss = lossKey(coating, technique);
    const rate = spreadingRateKey(coating, technique);
    const quantity: QuantityInput = {
      projectedAreaM2: zone.projectedAreaM2 * reach,
      texture: zone.texture,
      absorption: absorptionKey === null ? 1 : context.assumptions.number(absorptionKey),
      coats: coats.coats,
      spreadingRate: rate === null ? coating.spreadingRate.usual : context.assumptions.number(rate, scopes),
      lossPercent: loss === null ? 0 : context.assumptions.number(loss, scopes),
      detail: zone.zone.detail,
    };
    const put = technique.quantity(quantity, values);
    const amount = put * technique.paintShare(values);
    const leaves = stateAfter(candidate, below, coats.coats);
    const { sheet, reason } = sheetOn(zone, candidate, key, context);
    if (reason !== null)
      this.say({
        code: 'layer.cannotBeCut',
        severity: 'refuse',
        where: { kind: 'layer', id: candidate.id },
        figures: { zone: zone.zone.name, technique: technique.name, reason },
        fix: { kind: 'setTechnique', layerId: candidate.id, techniqueId: 'paperTorn' },
      });
    this.entries.push({
      layerId: candidate.id,
      joint,
      coats,
      amount,
      laidShare: laidShare(body, candidate, quantity, zone.zone.sides),
      waterMl: put - amount,
      quantity,
      absorptionKey,
      reachedM2: { projected: zone.projectedAreaM2 * reach, textured: zone.areaM2 * reach },
      sheet,
      below,
      leaves,
    });
    this.checkUse(candidate);
    // What the stylist left out lies in the list of steps and not on the piece.
    if (isLeftOut(body, candidate.id, coats.coats)) return;
    this.exposed = technique.partial ? [...this.exposed, leaves] : [leaves];
    this.open = technique.partial ? [...this.open, coating] : [coating];
  }

  /** What a joint relies on and the stylist left out or cut short: it is raised again. */
  private checkReliedOn(candidate: Candidate, joint: Joint): void {
    const { zone, body } = this;
    const isFirst = this.entries.length === 0;
    for (const finding of reliedOnFindings({ body, zone, candidate, joint, isFirst, surface: this.surfaceName() }))
      this.say(finding);
  }

  private surfaceName(): string {
    const below = uppermost(this.exposed);
    return (below.productId && coatings.find(below.productId)?.name) || this.zone.substrate.name;
  }

  /** What a use forbids of a layer. */
  private checkUse(candidate: Candidate): void {
    const { zone } = this;
    const where = { kind: 'layer', id: candidate.id } as const;
    const figures = { coating: candidate.coating.name, zone: zone.zone.name };
    if (zone.zone.use === 'food' && candidate.coating.foodUse === 'nowhereNear')
      this.say({ code: 'layer.nowhereNearFood', severity: 'refuse', where, figures });
    if (zone.zone.use === 'outdoors' && candidate.coating.outdoors === 'no')
      this.say({ code: 'layer.notOutdoors', severity: 'warn', where, figures });
    if (zone.zone.use === 'outdoors' && candidate.coating.outdoors === 'ifLabelled')
      this.say({ code: 'layer.outdoorsIfLabelled', severity: 'note', where, figures });
    for (const forbidden of useDemands[zone.zone.use].forbids)
      if (forbidden.groups.includes(candidate.coating.group))
        this.say({
          code: 'layer.forbiddenByUse',
          severity: 'stop',
          where,
          figures: { ...figures, use: useDemands[zone.zone.use].name, reason: forbidden.reason },
        });
  }

  /** A stain, glaze or dark wax cannot lighten: refused with the nearest thing that works. A wash is only a veil. */
  private checkLightening(candidate: Candidate): void {
    const under = uppermost(this.exposed).color;
    if (!under || !candidate.color || candidate.technique.opacity(candidate.coating, candidate.values) === null) return;
    if (candidate.color.L <= under.L + LIGHTER_L) return;
    const where = { kind: 'layer', id: candidate.id } as const;
    const figures = { coating: candidate.coating.name, zone: this.zone.zone.name };
    if (candidate.coating.role === 'translucent')
      this.say({
        code: 'layer.cannotLighten',
        severity: 'refuse',
        where,
        figures,
        fix: { kind: 'replaceCoating', layerId: candidate.id, coatingId: 'mineralPaint' },
      });
    else this.say({ code: 'layer.veilOnly', severity: 'note', where, figures });
  }

  layChosen(candidate: Candidate): void {
    const { zone, body, context } = this;
    this.checkLightening(candidate);
    let joint = this.jointOf(candidate);
    // The school "clean, sand, prime" puts a primer under every paint; the other only where a joint asks for it.
    const bySchool =
      context.preparation === 'cleanSandPrime' &&
      this.entries.length === 0 &&
      candidate.coating.role === 'paint' &&
      candidate.technique.mixedLifeHours === null;
    let primer: Candidate | null = null;
    if (joint.verdict === 'barrierPrimer' || (bySchool && joint.verdict !== 'never')) {
      const coating = barrierFor(zone, this.exposed, joint, candidate);
      const proposal = coating ? `primer:${coating.id}@${candidate.id}` : null;
      if (coating && proposal && !body.dropped.includes(proposal)) {
        const tint = context.colorCards.get(body.primerTints[proposal] ?? '') ?? null;
        primer = proposedCandidate(proposal, coating, candidate.order - 1, coating.sheens[0] ?? 'matt', tint);
        const under = this.jointOf(primer);
        this.checkReliedOn(primer, under);
        this.lay(primer, under);
        joint = this.jointOf(candidate);
        this.reportBroken(candidate, joint, null, null);
      } else this.reportBroken(candidate, joint, coating, proposal);
    } else this.reportBroken(candidate, joint, null, null);
    joint = this.layWhiteBase(candidate, joint);
    if (joint.verdict === 'notKnown')
      this.say({
        code: 'joint.notKnown',
        severity: 'warn',
        where: { kind: 'joint', id: `${zone.key}|${candidate.id}` },
        figures: { zone: zone.zone.name, coating: candidate.coating.name, surface: zone.substrate.name },
      });
    this.checkReliedOn(candidate, joint);
    this.lay(candidate, joint);
    this.offerTint(primer, candidate);
  }

  /** White under thin paper on a ground that would show through it; gives the joint of what then follows. */
  private layWhiteBase(candidate: Candidate, joint: Joint): Joint {
    const base = isBroken(joint) ? null : whiteBaseFor(this.exposed, candidate, this.zone.noSand);
    if (base === null) return joint;
    const under = this.jointOf(base);
    if (this.body.dropped.includes(base.id) || isBroken(under)) {
      this.say({
        code: 'paper.groundShows',
        severity: 'warn',
        where: { kind: 'layer', id: candidate.id },
        figures: { zone: this.zone.zone.name, paper: candidate.sheet?.kind.name ?? '' },
        ...(isBroken(under) ? {} : { fix: { kind: 'restoreProposal', proposal: base.id } }),
      });
      return joint;
    }
    this.checkReliedOn(base, under);
    this.lay(base, under);
    return this.jointOf(candidate);
  }

  private reportBroken(candidate: Candidate, joint: Joint, barrier: Coating | null, proposal: string | null): void {
    if (!isBroken(joint)) return;
    this.say({
      code: joint.verdict === 'never' ? 'joint.never' : 'joint.wouldPeel',
      severity: joint.verdict === 'never' ? 'refuse' : 'stop',
      where: { kind: 'joint', id: `${this.zone.key}|${candidate.id}` },
      figures: {
        zone: this.zone.zone.name,
        coating: candidate.coating.name,
        surface: this.surfaceName(),
        fails: joint.fails,
        reason: joint.reason,
        remedy: barrier?.name ?? '',
      },
      ...(proposal ? { fix: { kind: 'restoreProposal', proposal } } : {}),
    });
  }

  private offerTint(primer: Candidate | null, paint: Candidate): void {
    const coats = this.entries.at(-1)?.coats;
    if (!primer || coats?.reason !== 'untilHidden') return;
    const { eye } = this.context;
    this.shared.remarks.push(() => {
      const offer = tintOffer(primer, paint, coats.coats, eye);
      return (
        offer && {
          code: 'primer.tintSaves',
          severity: 'note',
          where: { kind: 'layer', id: primer.id },
          figures: {
            primer: primer.coating.name,
            paint: paint.coating.name,
            kind: offer.kind,
            coats: offer.coats,
            instead: coats.coats,
          },
          fix: { kind: 'tintPrimer', layerId: primer.id, tint: offer.kind, lab: offer.lab },
        }
      );
    });
  }

  /** A work that lays nothing: rubbing through opens what lies beneath the uppermost layer. */
  work(work: CandidateWork): void {
    const { zone } = this;
    const demand = zone.noSand
      ? { verdict: 'never' as const, waitHours: 0, reason: 'it would rub into an old finish that may hold lead' }
      : work.technique.demands(uppermost(this.exposed));
    if (demand?.verdict === 'never') {
      this.say({
        code: 'work.impossible',
        severity: 'warn',
        where: { kind: 'layer', id: work.id },
        figures: { technique: work.technique.name, zone: zone.zone.name, reason: demand.reason },
      });
      return;
    }
    const known = this.shared.works.get(work.id);
    if (known) {
      known.zoneKeys.push(zone.key);
      known.waitHours = Math.max(known.waitHours, demand?.waitHours ?? 0);
    } else this.shared.works.set(work.id, { ...work, zoneKeys: [zone.key], waitHours: demand?.waitHours ?? 0 });
    const beneath = this.entries.at(-1)?.below;
    if (beneath) {
      const top = uppermost(this.exposed);
      const shown = {
        ...top,
        color:
          top.color && beneath.color ? mixLab(top.color, beneath.color, work.technique.reach(work.values)) : top.color,
      };
      this.exposed = [beneath, shown];
    }
  }

  /** What may touch food or lips, or that nothing may: a zone in that use always speaks. */
  speakOfFood(): void {
    const finding = foodFinding(this.zone, this.open, this.context.assumptions);
    if (finding) this.say(finding);
  }

  /** The clear coats that what lies open asks for, proposed at the very top. */
  protect(): void {
    const { zone, body } = this;
    const asking = this.open.filter((coating) => asksForTopcoat(coating, zone.zone.use)).at(-1);
    if (!asking) return;
    const clear = topcoatFor(asking, zone.zone.use);
    const proposal = `topcoat:${clear.id}`;
    if (body.dropped.includes(proposal)) {
      this.say({
        code: 'topcoat.missing',
        severity: 'warn',
        where: { kind: 'zone', id: zone.key },
        figures: { zone: zone.zone.name, coating: asking.name, clear: clear.name },
        fix: { kind: 'restoreProposal', proposal },
      });
      return;
    }
    const sheen: Sheen = clear.sheens.includes('satin') ? 'satin' : (clear.sheens[0] ?? 'matt');
    const candidate = proposedCandidate(proposal, clear, 100_000, sheen);
    const joint = this.jointOf(candidate);
    this.reportBroken(candidate, joint, null, null);
    this.checkReliedOn(candidate, joint);
    this.lay(candidate, joint);
  }
}
