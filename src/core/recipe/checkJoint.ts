import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { type JointRule, jointRules, type OverCondition, type UnderCondition } from '../catalog/joints.data';
import { substrates } from '../catalog/substrates';
import type { Lab } from '../color/lab';
import { type Joint, verdictSeverity } from '../state/joint';
import type { Sheen, SurfaceState } from '../state/surfaceState';
import type { Technique } from '../technique/technique';
import { classRule, onItself } from './classRules';
import { bothOf, byColumn, byRow, intervalsFor, judge } from './judgments';
import { primerColumnOf } from './primerColumn';

/** What lies above: the coating with its color, how it is put on, and whether abrasion of the old finish is allowed. */
export interface LayerAbove {
  coating: Coating;
  /** How it is put on; null for its usual way. */
  technique: Technique | null;
  sheen: Sheen;
  color: Lab | null;
  /** True while an old finish may hold lead: scuffing counts as sanding and is not planned. */
  noSand: boolean;
}

const LIGHT_L = 60;
/** Whether a condition on light or dark is met; a color that nobody chose is neither. */
function isShade(light: boolean | undefined, color: Lab | null): boolean {
  return light === undefined || (color !== null && color.L > LIGHT_L === light);
}

function has<T>(allowed: readonly T[] | undefined, value: T): boolean {
  return allowed === undefined || allowed.includes(value);
}
function is(wanted: boolean | undefined, value: boolean): boolean {
  return wanted === undefined || wanted === value;
}

function underMatches(condition: UnderCondition, state: SurfaceState): boolean {
  if (condition.products && !(state.productId !== null && condition.products.includes(state.productId))) return false;
  if (condition.groups) {
    const product = state.productId === null ? undefined : coatings.find(state.productId);
    const liesAs = product?.liesAs ?? [];
    if (!condition.groups.some((group) => liesAs.includes(group))) return false;
  }
  return (
    has(condition.substrates, state.substrateId) &&
    has(condition.films, state.film) &&
    has(condition.sheens, state.sheen) &&
    has(condition.ages, state.age) &&
    has(condition.bleeds, state.bleed) &&
    is(condition.overHard, state.overHard) &&
    is(condition.bare, state.film === 'none' && state.productId === null) &&
    is(condition.sealed, state.sealed) &&
    isShade(condition.light, state.color)
  );
}

/** Whether a technique lets the ground show, so that what bleeds through it would be seen anyway. */
const isThinned = (over: LayerAbove): boolean => over.technique?.mixedLifeHours != null;

/** Whether a row can speak of a coating at all, whatever its color and how it is put on. */
function speaksOf(condition: OverCondition, { id, laysAs }: Coating): boolean {
  return has(condition.products, id) && (condition.groups?.some((group) => laysAs.includes(group)) ?? true);
}

function overMatches(condition: OverCondition, over: LayerAbove): boolean {
  if (condition.covers !== undefined && condition.covers === isThinned(over)) return false;
  return isShade(condition.light, over.color);
}

/** Product before group before any; more conditions before fewer; then the severest. */
function specificity(rule: JointRule): [level: number, conditions: number, severity: number] {
  const level = (c: UnderCondition | OverCondition) =>
    c.products || 'residues' in c || 'bleeds' in c ? 2 : 'groups' in c || 'films' in c || 'substrates' in c ? 1 : 0;
  const conditions = Object.keys(rule.under).length + Object.keys(rule.over).length;
  return [level(rule.under) + level(rule.over), conditions, verdictSeverity[rule.verdict]];
}

function bySpecificity(rules: readonly JointRule[]): JointRule[] {
  return [...rules].sort((a, b) => {
    const [levelA, countA, severityA] = specificity(a);
    const [levelB, countB, severityB] = specificity(b);
    return levelB - levelA || countB - countA || severityB - severityA;
  });
}

/** The first layer on a material or an old finish of unknown make: what the substrate's row asks for. */
function firstLayer(state: SurfaceState, over: LayerAbove): Joint | null {
  if (state.productId !== null) return null;
  const row = substrates.find(state.substrateId);
  if (!row?.primer) return null;
  if (isThinned(over) && state.film === 'none' && state.porous)
    return judge(state, 'ok', 'class.washOnOpenGround', 0, 'a wash soaks into an open ground');
  const column = primerColumnOf(over.coating);
  if (column === null) return null;
  return byColumn(state, row.id, row.primer[column]);
}

/** A check over a table of rules; the app has one, tests make others to see that each row matters. */
export function createJointCheck(rules: readonly JointRule[]) {
  const ordered = bySpecificity(rules);
  // Each coating's own rows, sorted once: a recipe asks of the same few coatings on every zone.
  const byCoating = new Map<string, JointRule[]>();
  const rulesFor = (coating: Coating): JointRule[] => {
    const known = byCoating.get(coating.id);
    if (known) return known;
    const own = ordered.filter((entry) => speaksOf(entry.over, coating));
    byCoating.set(coating.id, own);
    return own;
  };

  function judgeOne(state: SurfaceState, over: LayerAbove): Joint {
    const { coating } = over;
    if (state.productId === coating.id && state.age !== 'cured') return onItself(state, coating);
    const row = rulesFor(coating).find(
      ({ under, over: above }) => !under.residues && underMatches(under, state) && overMatches(above, over),
    );
    if (row) return byRow(state, row);
    return (
      classRule(state, coating) ??
      firstLayer(state, over) ??
      judge(
        state,
        'notKnown',
        'default',
        24,
        'no rule knows this pair: scuff, then test with a patch and tape after 24 h',
      )
    );
  }

  /** What lies on the surface judges beside the surface itself: washing wax off polypropylene leaves polypropylene. */
  function judgeAll(state: SurfaceState, over: LayerAbove): Joint {
    const ground = judgeOne(state, over);
    if (state.residue === 'none') return ground;
    const row = rulesFor(over.coating).find(
      ({ under, over: above }) =>
        under.residues?.includes(state.residue) && underMatches(under, state) && overMatches(above, over),
    );
    return row ? bothOf(byRow(state, row), ground) : ground;
  }

  /**
   * Judges one layer upon a surface. Rows of the compatibility table come first (most specific, then severest), then
   * the class rules, then the substrate's primer column; what none covers is *not known: scuff and test*. What the
   * technique itself asks of the surface counts where it is severer. While an old finish may hold lead, a joint that
   * asks for scuffing it is judged without abrasion.
   */
  return function checkJoint(state: SurfaceState, over: LayerAbove): Joint {
    let judged = judgeAll(state, over);
    const demand = over.technique?.demands(state) ?? null;
    if (demand && verdictSeverity[demand.verdict] > verdictSeverity[judged.verdict])
      judged = judge(state, demand.verdict, `technique.${over.technique?.id}`, demand.waitHours, demand.reason, judged);
    // Cloth, leaves and foam are not scuffed: what a scuff would do for another ground, being clean does for them.
    if (
      judged.verdict === 'scuff' &&
      state.origin === 'material' &&
      substrates.find(state.substrateId)?.scuffs === false
    )
      judged = { ...judged, verdict: 'ok', allowed: intervalsFor('ok', judged.waitHours, null, state) };
    const onOldFinish = state.origin === 'oldFinish';
    if (over.noSand && onOldFinish && (judged.verdict === 'scuff' || judged.verdict === 'notKnown')) {
      const gripsUnscuffed = over.coating.primer?.bondsWithoutScuff;
      return gripsUnscuffed
        ? judge(
            state,
            'afterWait',
            'lead.noSand',
            0,
            'no abrasion while lead is open: it grips a clean surface; test a patch',
          )
        : judge(
            state,
            'barrierPrimer',
            'lead.noSand',
            24,
            'it would need scuffing, which is not planned while lead is open',
            { remedies: [{ kind: 'between', coatingId: 'bondingPrimer' }] },
          );
    }
    return judged;
  };
}

/** The check by the table of the app. */
export const checkJoint = createJointCheck(jointRules);
