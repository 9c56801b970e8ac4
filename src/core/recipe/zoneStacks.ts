import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { type Lab, labFromHex } from '../color/lab';
import type { Finding } from '../kernel/finding';
import type { Joint } from '../state/joint';
import type { Sheen, SurfaceState } from '../state/surfaceState';
import { techniques } from '../technique';
import { checkJoint } from './checkJoint';
import { type CoatCount, coatCountFor } from './coatCount';
import type { ChosenLayer, RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import { supplyKey } from './supplyKey';
import type { ZonePlan } from './zonePlans';

/** A layer of the plan: chosen by the stylist, or proposed because a joint or a use asks for it. */
export interface PlannedLayer {
  id: string;
  origin: 'chosen' | 'proposed';
  coating: Coating;
  colorCardId: string | null;
  color: Lab | null;
  sheen: Sheen;
  supplyKey: string;
  /** Sort order from the bottom up. */
  order: number;
}

/** One layer on one zone: the joint below it, its coats, what it takes of one piece, the state it leaves. */
export interface StackEntry {
  layerId: string;
  joint: Joint;
  coats: CoatCount;
  amount: number;
  absorption: number;
  below: SurfaceState;
  leaves: SurfaceState;
}

export interface ZoneStacks {
  layers: PlannedLayer[];
  stacks: Map<string, StackEntry[]>;
  findings: Finding[];
}

interface Candidate {
  id: string;
  origin: PlannedLayer['origin'];
  coating: Coating;
  colorCardId: string | null;
  color: Lab | null;
  sheen: Sheen;
  coats: number | null;
  order: number;
}

const isBroken = (joint: Joint) => joint.verdict === 'barrierPrimer' || joint.verdict === 'never';

function colorLaidBy(candidate: Candidate, below: SurfaceState): Lab | null {
  if (candidate.coating.primer) return labFromHex(candidate.coating.primer.color);
  return candidate.coating.role === 'clear' ? below.color : candidate.color;
}

function stateAfter(candidate: Candidate, below: SurfaceState): SurfaceState {
  const { coating } = candidate;
  return {
    substrateId: below.substrateId,
    film: coating.film,
    sheen: candidate.sheen,
    age: 'dry',
    porous: coating.film === 'powdery',
    bleed: coating.primer?.blocksBleed ? 'none' : below.bleed,
    sealed: coating.role === 'clear',
    productId: coating.id,
    overHard: below.overHard,
    color: colorLaidBy(candidate, below),
  };
}

/** The primer that repairs a broken joint: the rule's remedy, then the substrate's column, the first that itself holds. */
function primerFor(zone: ZonePlan, below: SurfaceState, joint: Joint, over: Candidate): Coating | null {
  const group =
    over.coating.group === 'solventPaint'
      ? 'solventPaint'
      : over.coating.role === 'clear'
        ? 'clear'
        : 'waterbornePaint';
  const wanted = [joint.remedy, ...zone.substrate.primer[group].primers];
  if (zone.noSand) wanted.unshift('bondingPrimer');
  if (!isBroken(joint)) wanted.push('bondingPrimer');
  for (const id of wanted) {
    const primer = id === null ? undefined : coatings.find(id);
    if (!primer?.primer) continue;
    const lower = checkJoint(below, { coating: primer, sheen: 'matt', color: null, noSand: zone.noSand });
    if (isBroken(lower)) continue;
    const primed = stateAfter({ ...over, coating: primer, sheen: 'matt' }, below);
    const upper = checkJoint(primed, {
      coating: over.coating,
      sheen: over.sheen,
      color: over.color,
      noSand: zone.noSand,
    });
    if (!isBroken(upper)) return primer;
  }
  return null;
}

function covers(layer: ChosenLayer, zone: ZonePlan): boolean {
  return layer.zoneKeys === 'all' || layer.zoneKeys.includes(zone.key);
}

/**
 * Stacks the layers of a recipe on each included zone, checks every joint, and proposes a primer where a joint would
 * fail and a top coat where the finish asks for one. What was dropped stays out, and its joint says what follows.
 */
export function zoneStacksOf(body: RecipeBody, zones: readonly ZonePlan[], context: RecipeContext): ZoneStacks {
  const layers = new Map<string, PlannedLayer>();
  const stacks = new Map<string, StackEntry[]>();
  const findings: Finding[] = [];
  const chosen: Candidate[] = [];
  body.layers.forEach((layer, index) => {
    const coating = coatings.find(layer.coatingId);
    if (!coating) {
      findings.push({
        code: 'layer.unknownCoating',
        severity: 'refuse',
        where: { kind: 'layer', id: layer.id },
        figures: { coating: layer.coatingId, accepted: coatings.ids.join(', ') },
      });
      return;
    }
    const card = layer.colorCardId === null ? undefined : context.colorCards.get(layer.colorCardId);
    if (coating.role === 'paint' && !card) {
      findings.push({
        code: 'layer.noColor',
        severity: 'warn',
        where: { kind: 'layer', id: layer.id },
        figures: { coating: coating.name },
      });
    }
    chosen.push({
      id: layer.id,
      origin: 'chosen',
      coating,
      colorCardId: coating.role === 'paint' ? (card?.id ?? null) : null,
      color: coating.role === 'paint' ? (card?.lab ?? null) : null,
      sheen: coating.sheens.includes(layer.sheen) ? layer.sheen : (coating.sheens[0] ?? 'matt'),
      coats: layer.coats,
      order: (index + 1) * 10,
    });
  });

  for (const zone of zones) {
    if (!zone.zone.included || zone.projectedAreaM2 <= 0) continue;
    const entries: StackEntry[] = [];
    let state = zone.present;

    const lay = (candidate: Candidate, joint: Joint): void => {
      const { coating } = candidate;
      const key = supplyKey(coating.id, candidate.colorCardId, candidate.sheen);
      if (!layers.has(candidate.id)) {
        layers.set(candidate.id, {
          id: candidate.id,
          origin: candidate.origin,
          coating,
          colorCardId: candidate.colorCardId,
          color: colorLaidBy(candidate, state),
          sheen: candidate.sheen,
          supplyKey: key,
          order: candidate.order,
        });
      }
      const coats = coatCountFor(
        coating,
        candidate.coats,
        body.school ?? context.school,
        body.labelCoats,
        context.eye,
        state.color,
        candidate.color,
        zone.zone.use,
      );
      const technique = techniques.get(coating.techniqueId);
      const scopes = [`supply:${key}`];
      // Absorption belongs to the first layer alone: a primer, when there is one, takes it.
      const absorption =
        entries.length === 0 ? context.assumptions.number(`substrate.${zone.substrate.id}.absorption`) : 1;
      const rateName = coating.unit === 'can' ? 'spreadingRateM2PerCan' : 'spreadingRateM2PerL';
      const amount = technique.quantity({
        projectedAreaM2: zone.projectedAreaM2,
        texture: zone.texture,
        absorption,
        coats: coats.coats,
        spreadingRate: context.assumptions.number(`coating.${coating.id}.${rateName}`, scopes),
        lossPercent:
          coating.unit === 'mL' ? context.assumptions.number(`coating.${coating.id}.lossPercent`, scopes) : 0,
        detail: zone.zone.detail,
      });
      const leaves = stateAfter(candidate, state);
      entries.push({ layerId: candidate.id, joint, coats, amount, absorption, below: state, leaves });
      state = leaves;
    };

    for (const candidate of chosen) {
      const source = body.layers.find((layer) => layer.id === candidate.id);
      if (!source || !covers(source, zone)) continue;
      const over = { coating: candidate.coating, sheen: candidate.sheen, color: candidate.color, noSand: zone.noSand };
      let joint = checkJoint(state, over);
      // The school "clean, sand, prime" puts a primer under every paint; the other only where a joint asks for it.
      const bySchool =
        context.preparation === 'cleanSandPrime' && entries.length === 0 && candidate.coating.role === 'paint';
      if (isBroken(joint) || bySchool) {
        const primer = primerFor(zone, state, joint, candidate);
        const proposal = primer ? `primer:${primer.id}@${candidate.id}` : null;
        if (primer && proposal && !body.dropped.includes(proposal)) {
          const below = checkJoint(state, { coating: primer, sheen: 'matt', color: null, noSand: zone.noSand });
          lay(
            {
              id: proposal,
              origin: 'proposed',
              coating: primer,
              colorCardId: null,
              color: null,
              sheen: primer.sheens[0] ?? 'matt',
              coats: null,
              order: candidate.order - 1,
            },
            below,
          );
          joint = checkJoint(state, over);
        } else if (isBroken(joint)) {
          findings.push({
            code: joint.verdict === 'never' ? 'joint.never' : 'joint.wouldPeel',
            severity: joint.verdict === 'never' ? 'refuse' : 'stop',
            where: { kind: 'joint', id: `${zone.key}|${candidate.id}` },
            figures: {
              zone: zone.zone.name,
              coating: candidate.coating.name,
              surface: zone.substrate.name,
              reason: joint.reason,
              remedy: primer?.name ?? '',
            },
            ...(proposal ? { fix: { kind: 'restoreProposal' as const, proposal } } : {}),
          });
        }
      }
      if (joint.verdict === 'notKnown') {
        findings.push({
          code: 'joint.notKnown',
          severity: 'warn',
          where: { kind: 'joint', id: `${zone.key}|${candidate.id}` },
          figures: { zone: zone.zone.name, coating: candidate.coating.name, surface: zone.substrate.name },
        });
      }
      lay(candidate, joint);
    }

    const top = chosen.filter((candidate) => entries.some((entry) => entry.layerId === candidate.id)).at(-1);
    if (top && top.coating.topcoat === 'always') {
      const clear = coatings.get(top.coating.techniqueId === 'sprayOn' ? 'aerosolClear' : 'waterClear');
      const proposal = `topcoat:${clear.id}`;
      if (!body.dropped.includes(proposal)) {
        const sheen: Sheen = clear.sheens.includes('satin') ? 'satin' : 'matt';
        const joint = checkJoint(state, { coating: clear, sheen, color: state.color, noSand: zone.noSand });
        lay(
          {
            id: proposal,
            origin: 'proposed',
            coating: clear,
            colorCardId: null,
            color: null,
            sheen,
            coats: null,
            order: 100_000,
          },
          joint,
        );
      } else {
        findings.push({
          code: 'topcoat.missing',
          severity: 'warn',
          where: { kind: 'zone', id: zone.key },
          figures: { zone: zone.zone.name, coating: top.coating.name, clear: clear.name },
          fix: { kind: 'restoreProposal', proposal },
        });
      }
    }
    if (zone.zone.use === 'outdoors') {
      for (const entry of entries) {
        const layer = layers.get(entry.layerId);
        if (layer?.coating.outdoors === 'no') {
          findings.push({
            code: 'layer.notOutdoors',
            severity: 'warn',
            where: { kind: 'layer', id: layer.id },
            figures: { coating: layer.coating.name, zone: zone.zone.name },
          });
        }
      }
    }
    stacks.set(zone.key, entries);
  }

  for (const layer of layers.values()) {
    const shown = [...stacks.values()]
      .flat()
      .filter((entry) => entry.layerId === layer.id && entry.coats.hiding?.cutShort);
    const worst = Math.max(0, ...shown.map((entry) => entry.coats.hiding?.showing.at(-1) ?? 0));
    if (worst > 0) {
      findings.push({
        code: 'coats.stillShows',
        severity: 'note',
        where: { kind: 'layer', id: layer.id },
        figures: { coating: layer.coating.name, difference: Math.round(worst * 10) / 10 },
      });
    }
  }
  return { layers: [...layers.values()].sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1)), stacks, findings };
}
