import { type Coating, isColored } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { type Consumable, consumables } from '../catalog/consumables';
import type { Lab } from '../color/lab';
import type { Sheen } from '../state/surfaceState';
import { techniques } from '../technique';
import { isFilm } from '../technique/sheetWork';
import { completeValues, type Technique, type TechniqueValues } from '../technique/technique';
import type { ChosenLayer, RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import { supplyKey } from './supplyKey';
import type { ZonePlan } from './zonePlans';

/** A layer that may be laid: chosen, or proposed between and above the chosen ones. */
export interface Candidate {
  id: string;
  origin: 'chosen' | 'proposed';
  technique: Technique;
  values: TechniqueValues;
  coating: Coating;
  colorCardId: string | null;
  color: Lab | null;
  sheen: Sheen;
  /** The paper or cloth that it lays in a medium, its design and which supply that is; null for what is only coated or stuck on. */
  sheet: { kind: Consumable; supplyKey: string; color: Lab | null; design: string | null } | null;
  /** The shapes or lettering that it cuts; none where it cuts none. */
  artworkIds: readonly string[];
  coats: number | null;
  /** Sort order from the bottom up. */
  order: number;
}

/** A work on a layer that lays nothing. */
export interface CandidateWork {
  id: string;
  technique: Technique;
  values: TechniqueValues;
  order: number;
}

export type ChosenCandidate = { layer: ChosenLayer } & (
  | { kind: 'coat'; candidate: Candidate }
  | { kind: 'work'; work: CandidateWork }
);

/** A layer that the plan proposes: in its coating's usual technique, with the color card of a tinted primer. */
export function proposedCandidate(
  id: string,
  coating: Coating,
  order: number,
  sheen: Sheen,
  tint: { id: string; lab: Lab } | null = null,
): Candidate {
  const technique = techniques.get(coating.techniqueId);
  return {
    id,
    origin: 'proposed',
    technique,
    values: completeValues(technique, {}),
    coating,
    colorCardId: tint?.id ?? null,
    color: tint?.lab ?? null,
    sheen,
    sheet: null,
    artworkIds: [],
    coats: null,
    order,
  };
}

/** Whether a layer lies on a zone. */
export const coversZone = (layer: Pick<ChosenLayer, 'zoneKeys'>, zone: ZonePlan): boolean =>
  layer.zoneKeys === 'all' || layer.zoneKeys.includes(zone.key);

/** What is said of a layer that cannot be laid. */
type Refusal = { [C in Refused]: Pick<Extract<RecipeFinding, { code: C }>, 'code' | 'figures' | 'fix'> }[Refused];
type Refused = 'layer.unknownTechnique' | 'layer.unknownCoating' | 'layer.wrongTechnique' | 'layer.unknownSheet';

/** The kinds of paper or cloth that a technique lays, in the order menus show them. */
export const sheetsFor = (technique: Technique): Consumable[] =>
  consumables.all.filter((kind) => technique.sheet?.accepts(kind) ?? false);

/** The kind of a layer; what was not said yet is the first that the technique lays, and what it does not take is null. */
function sheetOf(layer: ChosenLayer, technique: Technique): Consumable | null {
  if (layer.sheetId == null) return sheetsFor(technique)[0] ?? null;
  const kind = consumables.find(layer.sheetId);
  return kind && technique.sheet?.accepts(kind) ? kind : null;
}

/**
 * The layers of a recipe as they can be laid, from the bottom up. What the tables do not know (any more) and what a
 * technique cannot put on is named in `findings`; the rest still computes.
 */
export function chosenCandidates(
  body: RecipeBody,
  context: RecipeContext,
): { chosen: ChosenCandidate[]; findings: RecipeFinding[] } {
  const chosen: ChosenCandidate[] = [];
  const findings: RecipeFinding[] = [];
  const refuse = (layer: ChosenLayer, said: Refusal) =>
    // Each refusal's code goes with its figures; put together again the types see only their mixture.
    findings.push({ ...said, severity: 'refuse', where: { kind: 'layer', id: layer.id } } as RecipeFinding);
  body.layers.forEach((layer, index) => {
    const order = (index + 1) * 10;
    const technique = techniques.find(layer.techniqueId);
    if (!technique) {
      refuse(layer, {
        code: 'layer.unknownTechnique',
        figures: {
          technique: layer.techniqueId,
          accepted: techniques.all.map((entry) => entry.name).join(', '),
        },
      });
      return;
    }
    const values = completeValues(technique, layer.values);
    if (!technique.lays) {
      chosen.push({ kind: 'work', layer, work: { id: layer.id, technique, values, order } });
      return;
    }
    const coating = coatings.find(layer.coatingId ?? '');
    if (!coating) {
      refuse(layer, {
        code: 'layer.unknownCoating',
        figures: {
          coating: layer.coatingId ?? '',
          accepted: coatings.all.map((entry) => entry.name).join(', '),
        },
      });
      return;
    }
    if (!technique.accepts(coating)) {
      refuse(layer, {
        code: 'layer.wrongTechnique',
        figures: { coating: coating.name, technique: technique.name, usual: techniques.get(coating.techniqueId).name },
        fix: { kind: 'setTechnique', layerId: layer.id, techniqueId: coating.techniqueId },
      });
      return;
    }
    const card = layer.colorCardId === null ? undefined : context.colorCards.get(layer.colorCardId);
    const wantsSheet = technique.sheet !== null && !isFilm(coating);
    const sheet = wantsSheet ? sheetOf(layer, technique) : null;
    if (wantsSheet && sheet === null)
      refuse(layer, {
        code: 'layer.unknownSheet',
        figures: {
          sheet: layer.sheetId ?? '',
          technique: technique.name,
          accepted: sheetsFor(technique)
            .map(({ name }) => name)
            .join(', '),
        },
      });
    const isTinted = isColored(coating) || (coating.primer?.tintable ?? false);
    if (isColored(coating) && !card)
      findings.push({
        code: 'layer.noColor',
        severity: 'warn',
        where: { kind: 'layer', id: layer.id },
        figures: { coating: coating.name, isFilm: isFilm(coating) ? 1 : 0 },
      });
    chosen.push({
      kind: 'coat',
      layer,
      candidate: {
        id: layer.id,
        origin: 'chosen',
        technique,
        values,
        coating,
        colorCardId: isTinted ? (card?.id ?? null) : null,
        color: isTinted ? (card?.lab ?? null) : null,
        sheen: coating.sheens.includes(layer.sheen) ? layer.sheen : (coating.sheens[0] ?? 'matt'),
        sheet: sheet && {
          kind: sheet,
          supplyKey: supplyKey(sheet.id, card?.id ?? null, null),
          color: card?.lab ?? null,
          design: card?.name ?? null,
        },
        artworkIds: layer.artworkIds ?? [],
        coats: layer.coats,
        order,
      },
    });
  });
  return { chosen, findings };
}
