import { createRegistry } from '../../kernel/registry';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { basket } from './basket';
import { bedHead } from './bedHead';
import { bookcase } from './bookcase';
import { books } from './books';
import { bow } from './bow';
import { cabinet } from './cabinet';
import { candle } from './candle';
import { candlestick } from './candlestick';
import { chair } from './chair';
import { consoleTable } from './consoleTable';
import { crate } from './crate';
import { curtain } from './curtain';
import { cushion } from './cushion';
import { door } from './door';
import { drawerFronts } from './drawerFronts';
import { dresser } from './dresser';
import { egg } from './egg';
import { flatCloth } from './flatCloth';
import { foliage } from './foliage';
import { freeBox } from './freeBox';
import { garland } from './garland';
import { hurricane } from './hurricane';
import { jar } from './jar';
import { lampBase } from './lampBase';
import { lampShade } from './lampShade';
import { lantern } from './lantern';
import { mirror } from './mirror';
import { nightstand } from './nightstand';
import { pictureFrame } from './pictureFrame';
import { planter } from './planter';
import { plate } from './plate';
import { roundBasket } from './roundBasket';
import { rug } from './rug';
import { screen } from './screen';
import { shelf } from './shelf';
import { stool } from './stool';
import { table } from './table';
import { tiles } from './tiles';
import { tray } from './tray';
import { vase } from './vase';
import { wall } from './wall';
import { window } from './window';
import { wreath } from './wreath';

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
  bedHead,
  cabinet,
  chair,
  consoleTable,
  crate,
  dresser,
  foliage,
  lampShade,
  screen,
  shelf,
  stool,
  tiles,
  wall,
  window,
  drawerFronts,
  roundBasket,
  wreath,
  flatCloth,
  curtain,
  cushion,
  garland,
  bow,
  hurricane,
  jar,
  egg,
  books,
  candle,
  rug,
  plate,
  freeBox,
]);
