import { createRegistry } from '../../kernel/registry';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { basket } from './basket';
import { bookcase } from './bookcase';
import { candlestick } from './candlestick';
import { door } from './door';
import { freeBox } from './freeBox';
import { lampBase } from './lampBase';
import { lantern } from './lantern';
import { mirror } from './mirror';
import { nightstand } from './nightstand';
import { pictureFrame } from './pictureFrame';
import { planter } from './planter';
import { table } from './table';
import { tray } from './tray';
import { vase } from './vase';

/** Every kind of piece we can draw and measure; menus, schemas and the quick line derive from it. */
export const furnitureTemplates = createRegistry<FurnitureTemplate>('furniture templates', [
  nightstand,
  pictureFrame,
  lampBase,
  basket,
  bookcase,
  candlestick,
  door,
  lantern,
  mirror,
  planter,
  table,
  tray,
  vase,
  freeBox,
]);
