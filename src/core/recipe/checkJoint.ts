import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { type JointRule, jointRules, type OverCondition, type UnderCondition } from '../catalog/joints.data';
import { substrates } from '../catalog/substrates';
import type { Lab } from '../color/lab';
import { type AllowedInterval, type Joint, type Verdict, verdictSeverity } from '../state/joint';
import type { Sheen, SurfaceState } from '../state/surfaceState';

/** What lies above: the coating with its color and whether abrasion of the old finish is allowed. */
export interface LayerAbove {
  coating: Coating;
  sheen: Sheen;
  color: Lab | null;
  /** True while an old finish may hold lead: scuffing counts as sanding and is not planned. */
  noSand: boolean;
}

const LIGHT_L = 60;

function underMatches(condition: UnderCondition, state: SurfaceState): boolean {
  if (condition.products && !(state.productId !== null && condition.products.includes(state.productId))) return false;
  if (condition.substrates && !condition.substrates.includes(state.substrateId)) return false;
  if (condition.films && !condition.films.includes(state.film)) return false;
  if (condition.sheens && !condition.sheens.includes(state.sheen)) return false;
  if (condition.ages && !condition.ages.includes(state.age)) return false;
  if (condition.bleeds !== undefined && condition.bleeds !== (state.bleed !== 'none')) return false;
  if (condition.overHard !== undefined && condition.overHard !== state.overHard) return false;
  if (condition.bare !== undefined && condition.bare !== (state.film === 'none')) return false;
  return true;
}

function overMatches(condition: OverCondition, over: LayerAbove): boolean {
  if (condition.products && !condition.products.includes(over.coating.id)) return false;
  if (condition.groups && !condition.groups.includes(over.coating.group)) return false;
  if (condition.light !== undefined && condition.light !== (over.color !== null && over.color.L > LIGHT_L))
    return false;
  return true;
}

/** Product before group before any; more conditions before fewer; then the severest. */
function specificity(rule: JointRule): [number, number, number] {
  const level = (c: UnderCondition | OverCondition) =>
    c.products ? 2 : 'groups' in c || 'films' in c || 'substrates' in c ? 1 : 0;
  const conditions = Object.keys(rule.under).length + Object.keys(rule.over).length;
  return [level(rule.under) + level(rule.over), conditions, verdictSeverity[rule.verdict]];
}

const rulesBySpecificity = [...jointRules].sort((a, b) => {
  const sa = specificity(a);
  const sb = specificity(b);
  return sb[0] - sa[0] || sb[1] - sa[1] || sb[2] - sa[2];
});

function intervalsFor(verdict: Verdict, waitHours: number, state: SurfaceState): AllowedInterval[] {
  const under = state.productId === null ? undefined : coatings.find(state.productId);
  const later =
    under?.role === 'primer' ? under.recoatIntervals.find((interval) => interval.extraSteps.length > 0) : undefined;
  switch (verdict) {
    case 'ok':
    case 'afterWait':
      return later
        ? [
            { fromHours: waitHours, toHours: later.fromHours, extraSteps: [] },
            { ...later, fromHours: Math.max(waitHours, later.fromHours) },
          ]
        : [{ fromHours: waitHours, toHours: null, extraSteps: [] }];
    case 'scuff':
    case 'notKnown':
      return [{ fromHours: waitHours, toHours: null, extraSteps: ['scuff'] }];
    case 'barrierPrimer':
    case 'never':
      return [];
    default:
      return verdict satisfies never;
  }
}

function joint(
  state: SurfaceState,
  verdict: Verdict,
  ruleId: string,
  waitHours: number,
  reason: string,
  remedy: string | null = null,
): Joint {
  return { verdict, ruleId, reason, remedy, waitHours, allowed: intervalsFor(verdict, waitHours, state) };
}

/** The class rules that come before "not known"; null when none applies. */
function classRule(state: SurfaceState, over: LayerAbove): Joint | null {
  const { coating } = over;
  if (state.productId === coating.id) {
    return {
      verdict: 'ok',
      ruleId: 'class.sameProduct',
      reason: 'the same product follows itself inside its recoat window',
      remedy: null,
      waitHours: coating.recoatIntervals[0]?.fromHours ?? 0,
      allowed: coating.recoatIntervals,
    };
  }
  const under = state.productId === null ? undefined : coatings.find(state.productId);
  if (coating.primer) {
    if (state.productId === null && coating.primer.madeFor.includes(state.substrateId)) {
      return joint(
        state,
        'scuff',
        'class.primerMadeFor',
        0,
        `${coating.name.toLowerCase()} is made for it, once it is clean and scuffed`,
      );
    }
    if (under)
      return joint(
        state,
        'scuff',
        'class.primerOverFilm',
        under.recoatHours.usual,
        'a primer holds on a dry, scuffed film',
      );
  }
  if (under?.primer)
    return joint(
      state,
      'afterWait',
      'class.overPrimer',
      under.recoatHours.usual,
      'it lies on a primer, after its wait',
    );
  if (coating.role === 'clear' && under && ['waterborne', 'powdery', 'oil', 'solvent'].includes(state.film)) {
    const glossy = state.sheen === 'gloss';
    if (!glossy && coating.film === 'solvent' && state.film === 'solvent') {
      return {
        ...joint(
          state,
          'afterWait',
          'class.clearOverFilm',
          under.recoatIntervals[0]?.fromHours ?? 0,
          'sprayed films follow each other within the hour or after the window',
        ),
        allowed: under.recoatIntervals,
      };
    }
    const wait = Math.max(under.recoatHours.usual, under.film === 'solvent' ? 48 : 0);
    return glossy
      ? joint(state, 'scuff', 'class.clearOverGloss', wait, 'a clear coat needs tooth on a glossy film')
      : joint(state, 'afterWait', 'class.clearOverFilm', wait, 'a clear coat holds on any dry film');
  }
  return null;
}

/** The first layer on a material or an old finish: what the substrate's row asks for. */
function firstLayer(state: SurfaceState, over: LayerAbove): Joint | null {
  if (state.productId !== null) return null;
  const row = substrates.find(state.substrateId);
  if (!row) return null;
  const { group } = over.coating;
  const demand =
    group === 'waterbornePaint'
      ? row.primer.waterbornePaint
      : group === 'solventPaint'
        ? row.primer.solventPaint
        : group === 'primer'
          ? null
          : row.primer.clear;
  if (!demand) return null;
  return joint(state, demand.verdict, `substrate.${row.id}`, 0, demand.reason, demand.primers[0] ?? null);
}

/**
 * Judges one layer upon a surface. Rows of the compatibility table come first (most specific, then severest), then the
 * class rules, then the substrate's primer column; what none covers is *not known: scuff and test*.
 * While an old finish may hold lead, a joint that asks for scuffing it is judged without abrasion.
 */
export function checkJoint(state: SurfaceState, over: LayerAbove): Joint {
  const rule = rulesBySpecificity.find(
    (candidate) => underMatches(candidate.under, state) && overMatches(candidate.over, over),
  );
  const judged = rule
    ? joint(state, rule.verdict, rule.id, rule.waitHours, rule.reason, rule.remedy)
    : (classRule(state, over) ??
      firstLayer(state, over) ??
      joint(
        state,
        'notKnown',
        'default',
        24,
        'no rule knows this pair: scuff, then test with a patch and tape after 24 h',
      ));
  const onOldFinish = state.productId === null && state.film !== 'none';
  if (over.noSand && onOldFinish && (judged.verdict === 'scuff' || judged.verdict === 'notKnown')) {
    return over.coating.primer?.bondsWithoutScuff
      ? joint(
          state,
          'afterWait',
          'lead.noSand',
          0,
          'no abrasion while lead is open: it grips a clean surface; test a patch',
        )
      : joint(
          state,
          'barrierPrimer',
          'lead.noSand',
          24,
          'it would need scuffing, which is not planned while lead is open',
          'bondingPrimer',
        );
  }
  return judged;
}
