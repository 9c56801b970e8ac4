import type { ColorCardRow, ProjectRows } from '../model/rows';

/** How soon a color of the palette is proposed for a finish; what is met as greenery or metal is seldom painted. */
const paletteOrder = ['main', 'accent', 'ground', 'wood', 'metal', 'greenery'] as const;

/** Colors used in this project first, then those of its palette, then the studio's others. */
export function cardsByUse(rows: ProjectRows): ColorCardRow[] {
  const used = new Set(rows.recipes.flatMap((recipe) => recipe.body.layers.map((layer) => layer.colorCardId)));
  const { palette } = rows.project.brief;
  const place = (card: ColorCardRow): number => {
    if (used.has(card.id)) return 0;
    const role = palette.find((entry) => entry.colorCardId === card.id)?.role;
    return role === undefined ? paletteOrder.length + 1 : 1 + paletteOrder.indexOf(role);
  };
  return [...rows.colorCards].sort((a, b) => place(a) - place(b) || a.name.localeCompare(b.name));
}
