import { z } from 'zod';
import { defineEntity } from '../entity';
import { fieldFacts, line } from '../fields';

/** The color card in a supply's key: `<kind>|<color card>|<sheen>`. */
function cardInKey(key: string): { table: string; id: string }[] {
  const [, cardId = ''] = key.split('|');
  return cardId === '' ? [] : [{ table: 'colorCards', id: cardId }];
}

/** Where the stylist buys a supply for a project, though another place may sell it for less. */
export const supplyPlace = defineEntity({
  table: 'supplyPlaces',
  name: 'supply_place',
  noun: 'place to buy a supply',
  owner: 'project',
  travels: 'always',
  unique: [['supplyKey']],
  fields: {
    supplyKey: z
      .string()
      .regex(/^[\w-]{1,60}\|[\w-]{0,80}\|\w{0,20}$/, 'a supply: its kind, color card and sheen')
      .register(fieldFacts, { idsIn: { tables: ['colorCards'], read: cardInKey } }),
    /** As its packs name it; empty for those that name none. */
    place: line(0, 120),
  },
});
