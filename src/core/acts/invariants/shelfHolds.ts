import { isProject } from '../changes';
import type { Breach, Invariant } from './invariant';

/** Every recorded use of a supply belongs to one recipe only, and that recipe is done. */
export const shelfHolds: Invariant = {
  id: 'shelfHolds',
  breaches: (rows) => {
    if (!isProject(rows)) return [];
    const breaches: Breach[] = [];
    const taken = new Set<string>();
    for (const recipe of rows.recipes) {
      if (recipe.doneOn === null && recipe.uses.length > 0)
        breaches.push({
          table: 'recipes',
          id: recipe.id,
          path: ['uses'],
          tolerated: true,
          field: recipe.name,
          value: recipe.uses.length,
          accepted: 'nothing off the shelf before it is done',
          weight: recipe.uses.length,
        });
      for (const use of recipe.uses) {
        if (taken.has(use))
          breaches.push({
            table: 'recipes',
            id: recipe.id,
            path: ['uses'],
            tolerated: true,
            field: recipe.name,
            value: use,
            accepted: 'each amount taken once',
            weight: 1,
          });
        taken.add(use);
      }
    }
    return breaches;
  },
};
