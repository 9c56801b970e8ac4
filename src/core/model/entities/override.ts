import { z } from 'zod';
import { assumptionDefinitions } from '../../catalog/assumptions';
import { defineEntity } from '../entity';
import { fieldFacts, line } from '../fields';

/** The ids in a scope: `recipe:<recipe>` or `supply:<kind>|<color card>|<sheen>`. */
function idsInScope(scope: string): { table: string; id: string }[] {
  if (scope.startsWith('recipe:')) return [{ table: 'recipes', id: scope.slice('recipe:'.length) }];
  const cardId = scope.startsWith('supply:') ? scope.split('|')[1] : '';
  return cardId ? [{ table: 'colorCards', id: cardId }] : [];
}

/** What the stylist puts in the place of a figure of the tables. */
export const override = defineEntity(
  {
    table: 'overrides',
    name: 'override',
    noun: 'assumption',
    owner: 'project',
    travels: 'always',
    unique: [['key', 'scope']],
    fields: {
      key: z
        .string()
        .refine((key) => assumptionDefinitions.has(key), { error: 'the key of an assumption that the tables define' }),
      scope: z
        .string()
        .regex(/^(project|recipe:[\w-]{1,80}|supply:[\w|-]{1,160})$/, 'project, recipe:… or supply:…')
        .register(fieldFacts, { idsIn: { tables: ['recipes', 'colorCards'], read: idsInScope } }),
      value: z.number({ error: 'a number' }),
      note: line(0, 400),
    },
  },
  ({ key, value }) => {
    const definition = assumptionDefinitions.get(key);
    return definition && (value < definition.minimum || value > definition.maximum)
      ? { field: 'value', accepted: `a number from ${definition.minimum} to ${definition.maximum}` }
      : null;
  },
);
