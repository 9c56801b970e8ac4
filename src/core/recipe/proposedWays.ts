import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { consumables } from '../catalog/consumables';
import { substrates } from '../catalog/substrates';
import { furnitureTemplates } from '../surface/templates';
import type { ZoneUse } from '../surface/zone';
import { techniques } from '../technique';
import type { Technique } from '../technique/technique';
import { computeRecipe, type RecipePlan } from './computeRecipe';
import { isRepairable } from './isRepairable';
import { chosenLayer, type RecipeBody } from './recipeBody';
import type { PieceFacts, RecipeContext } from './recipeContext';
import { repairsFor } from './repairs';
import type { Wish } from './wish';
import { factsOf } from './workpiece';

/** A whole recipe that would do what was wished, with its name. */
export interface ProposedWay {
  /** How it differs from the others: "By brush, chalk-type paint, bonding primer first". */
  name: string;
  body: RecipeBody;
  plan: RecipePlan;
}

/** What is tried: a technique with a coating, and a primer that nothing asks for but some stylists lay anyway. */
interface Candidate {
  techniqueId: string;
  coatingId: string;
  primerId: string | null;
  /** Tried only where nothing before it holds. */
  isLastResort?: boolean;
}

const MOST_WAYS = 3;
/** A change that still has something broken after so many repairs is given up. */
const MOST_REPAIRS = 3;

/** What paper is laid in. */
const MEDIUM = 'decoupageMedium';

/** Ways to cover by hand with the same paints: what differs is the tool. */
const coverIds: ReadonlySet<string> = new Set(['brushOn', 'miniRoller', 'roller']);

const by = (techniqueId: string, coatingId: string, primerId: string | null = null): Candidate => ({
  techniqueId,
  coatingId,
  primerId,
});

/** Whether something coated is used in one of these ways. */
const isUsedAs = (plan: RecipePlan, ...uses: ZoneUse[]): boolean =>
  plan.zones.some(({ zone }) => zone.included && uses.includes(zone.use));

/** The paint where nobody said which: wall paint on a wall, a hard one where a top is worn, else chalk-type. */
function usualPaint(plan: RecipePlan): string {
  if (isUsedAs(plan, 'wall')) return 'wallAcrylic';
  return isUsedAs(plan, 'tableTop', 'wet', 'outdoors') ? 'waterborneEnamel' : 'chalk';
}

/** Clear coats that close a raw or an open surface, so that film holds on it. */
const CLOSING = ['waterbornePolyurethane', 'waterClear'] as const;

/**
 * A film as it is usual for its technique: removable on what stays with the building, frosted on glass that stays, the
 * permanent one elsewhere. Where the surface is raw or open it is closed with a clear coat first.
 */
function films(technique: Technique, named: Coating | null, plan: RecipePlan, stays: boolean): Candidate[] {
  const fits = coatings.all.filter((coating) => technique.accepts(coating));
  const onGlass = plan.zones.some(({ material }) => material.id === 'glass');
  const rank = ({ id, techniqueId, adhesive }: Coating): number =>
    (techniqueId === technique.id ? 0 : 4) +
    ((id === 'windowFilm') === (stays && onGlass) ? 0 : 2) +
    ((adhesive?.isRemovable ?? false) === stays ? 0 : 1);
  const [usual] = [...fits].sort((a, b) => rank(a) - rank(b));
  const film = named && technique.accepts(named) ? named : usual;
  return film
    ? [
        by(technique.id, film.id),
        ...CLOSING.map((closing) => ({ ...by(technique.id, film.id, closing), isLastResort: true })),
      ]
    : [];
}

/**
 * What there is to try for a wish, the likeliest first; without one, what suits the material.
 * @param stays whether the piece is part of the building
 */
function candidatesFor(wish: Wish, facts: PieceFacts, plan: RecipePlan, stays: boolean): Candidate[] {
  const isWall = isUsedAs(plan, 'wall');
  const named = wish.coatingId === null ? null : coatings.get(wish.coatingId);
  const painted = named?.role === 'paint' && named.unit === 'mL' ? named.id : usualPaint(plan);
  const asked = wish.techniqueId === null ? null : techniques.get(wish.techniqueId);
  const tool = asked && coverIds.has(asked.id) ? asked.id : 'brushOn';
  // "Paint" is said of walls too, and means the roller there.
  const hand = isWall && tool === 'brushOn' ? 'roller' : tool;
  const paint = [by(hand, painted), by(hand, painted, 'bondingPrimer')];
  const cans = [by('sprayOn', 'aerosolEnamel'), by('sprayOn', 'aerosolEnamel', 'bondingPrimer')];
  const spray = [...cans, ...paint.slice(0, 1)];
  // Nobody sprays a wall from cans, unless it was wished: its other way is the brush.
  paint.push(...(isWall ? [by('brushOn', painted)] : cans));
  const wash = [by('wash', named?.group === 'waterbornePaint' ? named.id : 'wallAcrylic'), by('wash', 'bondingPrimer')];
  const stain = [
    by('stain', 'waterborneStain'),
    by('stain', 'oilStain'),
    by('gelStain', 'gelStain'),
    by('stainAndSeal', 'stainAndSealWater'),
  ];
  // Wallpaper hangs on a wall by the drop; on furniture it is a paper like others.
  const isHung = isWall && wish.sheetId !== null && (asked === null || asked.family !== 'paper');
  const sticks = asked?.family === 'film' ? asked : named?.role === 'film' ? techniques.get(named.techniqueId) : null;
  if (isHung || sticks) return films(sticks ?? techniques.get('filmDrops'), named, plan, stays);
  // A paper that is named is laid, in whatever way was said, else by whole sheets; where these do not lie, torn.
  const paper =
    asked?.family === 'paper' && asked.sheet !== null ? asked.id : wish.sheetId === null ? null : 'paperSheets';
  if (paper !== null) return [paper, 'paperSheets', 'paperTorn'].map((id) => by(id, MEDIUM));
  if (asked && !coverIds.has(asked.id)) {
    if (asked.id === 'sprayOn') return spray;
    if (asked.id === 'wash') return wash;
    if (asked.id === 'stain')
      return [...(named?.role === 'translucent' ? [by(named.techniqueId, named.id)] : []), ...stain];
    const first = named && asked.accepts(named) ? named : coatings.all.find((coating) => asked.accepts(coating));
    if (!first) return paint;
    // An accent or an aging lies on a paint; alone it would lie on what is there now.
    return asked.partial ? [by(asked.id, first.id), by('brushOn', painted)] : [by(asked.id, first.id)];
  }
  if (named) {
    const usual = by(techniques.get(hand).accepts(named) ? hand : named.techniqueId, named.id);
    return named.role === 'translucent' ? [usual, ...stain] : named.unit === 'can' ? spray : [usual, ...paint.slice(1)];
  }
  if (asked) return paint;
  if (facts.materialId === 'wicker') return [...wash.slice(0, 1), ...spray.slice(0, 1), ...stain.slice(0, 1)];
  const isBareWood = facts.finishId === null && substrates.find(facts.materialId)?.primer?.stain.verdict !== 'never';
  const isMetal = facts.materialId === 'ferrousMetal' || facts.kind === 'lamp';
  if (isMetal) return spray;
  return isBareWood ? [...paint.slice(0, 1), ...stain.slice(0, 1), ...paint.slice(2, 3)] : paint;
}

/** The layers of a way, from the bottom up, in a color. */
function layersOf(candidate: Candidate, coating: Coating, wish: Wish, cardId: string | null, newId: () => string) {
  const { sheet } = techniques.get(candidate.techniqueId);
  const isColored =
    coating.role === 'paint' || coating.role === 'translucent' || candidate.techniqueId === 'wash' || sheet !== null;
  const kind = consumables.find(wish.sheetId ?? '');
  const layer = chosenLayer(newId(), coating.id, {
    techniqueId: candidate.techniqueId,
    colorCardId: isColored ? cardId : null,
    ...(kind && sheet?.accepts(kind) ? { sheetId: kind.id } : {}),
  });
  return candidate.primerId === null ? [layer] : [chosenLayer(newId(), candidate.primerId), layer];
}

/** What lies on the piece in the end, layer by layer: two ways with the same are one. */
const stackOf = (plan: RecipePlan): string =>
  plan.layers.map((layer) => `${layer.technique.id} ${layer.coating.id}`).join('|');

function nameOf(candidate: Candidate, plan: RecipePlan): string {
  const technique = techniques.get(candidate.techniqueId);
  const main = plan.layers.filter((layer) => layer.origin === 'chosen').at(-1);
  const primer = plan.layers.find((layer) => layer.coating.role === 'primer' && layer !== main);
  // A clear coat that closes the surface for a film.
  const under = plan.layers.find((layer) => layer.origin === 'chosen' && layer !== main);
  return [
    main?.technique.name ?? technique.name,
    (main?.sheet?.kind.name ?? main?.coating.name ?? '').toLowerCase(),
    primer || under ? `${(primer ?? under)?.coating.name.toLowerCase()} first` : '',
  ]
    .filter((word) => word !== '')
    .join(', ');
}

/**
 * Whole recipes that would do what was wished with a piece: each with its primer, coats, waits and clear coat, tried out
 * and mended where a joint would not hold; what cannot be made to hold in that look is left out.
 * @param start the piece with its zones, without layers
 * @param cardId the color, a card of the context; null while nobody chose one
 * @param cashOf what buying a set of needs takes, minor units; for choosing among repairs
 * @param newId makes the ids of layers
 * @param most how many are looked for
 * @returns at most so many that truly differ, the likeliest first; none when nothing holds
 */
export function proposedWays(
  start: RecipeBody,
  wish: Wish,
  cardId: string | null,
  context: RecipeContext,
  cashOf: (needs: ReadonlyMap<string, number>) => number,
  hourValue: number,
  newId: () => string,
  most = MOST_WAYS,
): ProposedWay[] {
  const [piece] = start.pieces;
  const facts = piece && factsOf(piece, context);
  if (!facts) return [];
  const stays = furnitureTemplates.find(piece.templateId)?.traits.includes('fixture') ?? false;
  const empty = computeRecipe('proposal', start, context);
  const ways: ProposedWay[] = [];
  const seen = new Set<string>();
  for (const candidate of candidatesFor(wish, facts, empty, stays)) {
    if (candidate.isLastResort && ways.length > 0) continue;
    const coating = coatings.get(candidate.coatingId);
    let body: RecipeBody = { ...start, layers: layersOf(candidate, coating, wish, cardId, newId) };
    let plan = computeRecipe('proposal', body, context);
    for (let tries = 0; tries < MOST_REPAIRS; tries += 1) {
      const broken = plan.findings.find(isRepairable);
      const repair =
        broken &&
        repairsFor('proposal', body, context, broken, cashOf, hourValue).find(({ look }) => look !== 'anotherLook');
      if (!repair) break;
      body = repair.body;
      plan = computeRecipe('proposal', body, context);
    }
    // A caution that refuses the piece altogether is told at the option; it is no reason to hide the way.
    const fails = plan.findings.some(
      (finding) => isRepairable(finding) || (finding.severity === 'refuse' && !finding.code.startsWith('caution.')),
    );
    const stack = stackOf(plan);
    if (fails || seen.has(stack)) continue;
    seen.add(stack);
    ways.push({ name: nameOf(candidate, plan), body, plan });
    if (ways.length >= most) break;
  }
  return ways;
}
