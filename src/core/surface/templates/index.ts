import { createRegistry } from '../../kernel/registry';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { freeBox } from './freeBox';
import { lampBase } from './lampBase';
import { nightstand } from './nightstand';
import { pictureFrame } from './pictureFrame';

/** Every kind of piece we can draw and measure; menus, schemas and the quick line derive from it. */
export const furnitureTemplates = createRegistry<FurnitureTemplate>('furniture templates', [
  nightstand,
  pictureFrame,
  lampBase,
  freeBox,
]);
