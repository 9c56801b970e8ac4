import { createRegistry } from '../kernel/registry';
import type { Build } from './build';
import { cleatRail } from './cleatRail';
import { crateBox } from './crateBox';
import { curtainPair } from './curtain';
import { cushionCover } from './cushionCover';
import { fabricStrips } from './fabricStrips';
import { floatingShelf } from './floatingShelf';
import { framedPrint } from './framedPrint';
import { garlandOfStems } from './garland';
import { hurricaneCandle } from './hurricane';
import { mossForm } from './mossForm';
import { napkin } from './napkin';
import { pegRail } from './pegRail';
import { pictureLedge } from './pictureLedge';
import { pipeShelf } from './pipeShelf';
import { ragWreath } from './ragWreath';
import { ribbonBow } from './ribbonBow';
import { riser } from './riser';
import { seatCover } from './seatCover';
import { simpleFrame } from './simpleFrame';
import { stemWreath } from './stemWreath';
import { stuffedShape } from './stuffedShape';
import { tableCloth } from './tableCloth';
import { tableRunner } from './tableRunner';
import { trayFromBoards } from './tray';
import { vaseStems } from './vaseStems';

/** Everything that can be made from scratch, in the order menus show it. */
export const builds = createRegistry<Build>('things to make', [
  floatingShelf,
  pictureLedge,
  pipeShelf,
  trayFromBoards,
  crateBox,
  simpleFrame,
  cleatRail,
  riser,
  pegRail,
  napkin,
  tableRunner,
  tableCloth,
  curtainPair,
  cushionCover,
  stuffedShape,
  seatCover,
  fabricStrips,
  framedPrint,
  garlandOfStems,
  stemWreath,
  mossForm,
  ragWreath,
  vaseStems,
  ribbonBow,
  hurricaneCandle,
]);
