import { sameValue } from '../kernel/sameValue';
import { shapeForms } from '../surface/shapeForms';
import { shapeAreaM2, type ZoneShape } from '../surface/shapes';
import type { EnteredShape, RecipeBody, RecipePiece, ZoneEdit } from './recipeBody';
import type { ZonePlan } from './zonePlans';

/** A shape as one would enter it: by the library's form for it, else by its area. */
function enteredFrom(shape: ZoneShape): EnteredShape {
  const values = Object.fromEntries(
    Object.entries(shape).flatMap(([name, value]) => (typeof value === 'number' ? [[name, value] as const] : [])),
  );
  const form = shapeForms.find(({ kind }) => kind === shape.kind);
  return form && sameValue(form.build(values), shape)
    ? { kind: shape.kind, values }
    : { kind: 'custom', values: { areaM2: shapeAreaM2(shape) } };
}

/** The body with some keys of zones on every list of zones that names another. */
const withKey = <L extends { zoneKeys: RecipeBody['layers'][number]['zoneKeys'] }>(
  lists: readonly L[],
  as: string,
  key: string,
) =>
  lists.map((list) =>
    list.zoneKeys === 'all' || !list.zoneKeys.includes(as) ? list : { ...list, zoneKeys: [...list.zoneKeys, key] },
  );

const withoutKey = <L extends { zoneKeys: RecipeBody['layers'][number]['zoneKeys'] }>(
  lists: readonly L[],
  key: string,
) =>
  lists.map((list) =>
    list.zoneKeys === 'all' ? list : { ...list, zoneKeys: list.zoneKeys.filter((known) => known !== key) },
  );

const withPiece = (body: RecipeBody, piece: RecipePiece): RecipeBody['pieces'] =>
  body.pieces.map((known) => (known.id === piece.id ? piece : known));

/** A name that begins with a number says the one that is there: "6 drawer fronts" become "3 drawer fronts". */
function counted(name: string, count: number): string {
  const [, what] = /^\d+ (.+)$/.exec(name) ?? [];
  if (what === undefined) return name;
  // Only a plain plural: of "legs and rails" one is not simply without its s.
  const plain = /^(?!.*\band\b)[\w ]+$/.test(what) ? what.replace(/s$/, '') : null;
  return `${count} ${plain === null ? what : count === 1 ? plain : `${plain}s`}`;
}

/**
 * Takes some of a zone's like faces apart as a zone of their own: every other door, two of five drawers. Everything that
 * lies on the zone lies on both until somebody changes one of them; the areas together stay the same.
 * @param zone the zone as it is planned, with at least two faces
 * @param apart how many go, at least 1 and fewer than there are
 * @param id of the new zone, one of its own within the recipe
 */
export function splitZone(body: RecipeBody, zone: ZonePlan, apart: number, id: string): RecipeBody {
  const piece = body.pieces.find((known) => known.id === zone.pieceId);
  const { count, shape, name, sides, detail, use, textureFactor, included } = zone.zone;
  if (!piece || apart < 1 || apart >= count) return body;
  const edit = piece.zoneEdits[zone.zone.id] ?? {};
  const { shape: _shape, areaM2: _area, count: _count, name: _name, ...facts } = edit;
  const entered = enteredFrom(shape);
  // An area alone does not know the texture that its shape had.
  const texture = textureFactor ?? (entered.kind === shape.kind ? null : zone.texture);
  const own = {
    id,
    name: `${counted(name, apart)}, ${apart === Math.floor(count / 2) ? 'every other' : `of ${count}`}`.slice(-80),
    shape: entered,
    splitFrom: zone.zone.id,
  };
  const material = zone.zone.materialId === undefined ? {} : { materialId: zone.material.id };
  const key = `${piece.id}/${id}`;
  return {
    ...body,
    pieces: withPiece(body, {
      ...piece,
      ownZones: [...piece.ownZones, own],
      zoneEdits: {
        ...piece.zoneEdits,
        [zone.zone.id]: { ...edit, count: count - apart, name: counted(name, count - apart) },
        [id]: {
          ...material,
          ...facts,
          count: apart,
          sides,
          detail,
          use,
          included,
          ...(texture === null ? {} : { textureFactor: texture }),
        },
      },
    }),
    layers: withKey(body.layers, zone.key, key),
    preparations: withKey(body.preparations, zone.key, key),
  };
}

/** A zone's edit with its parts put together again. */
function joinedTo(edit: ZoneEdit, count: number): ZoneEdit {
  const most = Math.min(500, count);
  return { ...edit, count: most, ...(edit.name === undefined ? {} : { name: counted(edit.name, most) }) };
}

/** Takes a zone of the stylist's own away; one that was split off goes back to where it came from. */
export function removeOwnZone(body: RecipeBody, zone: ZonePlan): RecipeBody {
  const piece = body.pieces.find((known) => known.id === zone.pieceId);
  const own = piece?.ownZones.find((known) => known.id === zone.zone.id);
  if (!piece || !own) return body;
  const { [own.id]: _gone, ...edits } = piece.zoneEdits;
  const origin = own.splitFrom === undefined ? undefined : edits[own.splitFrom];
  const joined =
    own.splitFrom === undefined || origin?.count === undefined
      ? {}
      : { [own.splitFrom]: joinedTo(origin, origin.count + zone.zone.count) };
  return {
    ...body,
    pieces: withPiece(body, {
      ...piece,
      ownZones: piece.ownZones.filter((known) => known.id !== own.id),
      zoneEdits: { ...edits, ...joined },
    }),
    layers: withoutKey(body.layers, zone.key),
    preparations: withoutKey(body.preparations, zone.key),
  };
}
