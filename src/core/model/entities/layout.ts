import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, refersTo } from '../fields';
import { storedPin } from '../values/stock';
import { sheen } from '../values/surface';

/** What the stylist laid by hand on the sheets, rolls or boards of one supply; all else is laid around it. */
export const layout = defineEntity({
  table: 'layouts',
  name: 'layout',
  noun: 'layout',
  owner: 'project',
  travels: 'always',
  most: { count: 100, per: 'project' },
  unique: [['kindId', 'colorCardId', 'sheen']],
  fields: {
    /** Which supply it is of, named as supplies are. */
    kindId: line(1, 60),
    colorCardId: refersTo('colorCards').nullable(),
    sheen: sheen.nullable(),
    pins: z.array(storedPin).max(1000, 'at most 1,000 parts'),
  },
});
