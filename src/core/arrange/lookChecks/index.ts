import { createRegistry } from '../../kernel/registry';
import { accentEchoes } from './accentEchoes';
import { air } from './air';
import { anchored } from './anchored';
import { artHeight } from './artHeight';
import { artWidth } from './artWidth';
import { balance } from './balance';
import { bulbNear } from './bulbNear';
import { cordReach } from './cordReach';
import { curtainRod } from './curtainRod';
import { fruitInSun } from './fruitInSun';
import { functionKept } from './functionKept';
import { galleryGaps } from './galleryGaps';
import { gapOver } from './gapOver';
import { garlandLength } from './garlandLength';
import { hangingLoad } from './hangingLoad';
import { heatNear } from './heatNear';
import { heightSteps } from './heightSteps';
import { hiddenBehind } from './hiddenBehind';
import { keptClear } from './keptClear';
import { lampAndShade } from './lampAndShade';
import { lampHeight } from './lampHeight';
import type { LookCheck } from './lookCheck';
import { mirrorHeight } from './mirrorHeight';
import { oddGroup } from './oddGroup';
import { onePlace } from './onePlace';
import { openFlame } from './openFlame';
import { ornamentsPerFoot } from './ornamentsPerFoot';
import { outsideSpot } from './outsideSpot';
import { overBed } from './overBed';
import { placeSettings } from './placeSettings';
import { plantHarm } from './plantHarm';
import { plantLight } from './plantLight';
import { repeatedColor } from './repeatedColor';
import { rugBorder } from './rugBorder';
import { runnerOverhang } from './runnerOverhang';
import { sameSpace } from './sameSpace';
import { sightLine } from './sightLine';
import { smallHands } from './smallHands';
import { stemsInVase } from './stemsInVase';
import { wreathSize } from './wreathSize';

/** Every rule over a look, in the order in which they are told. */
export const lookChecks = createRegistry<LookCheck>('checks of a look', [
  openFlame,
  heatNear,
  bulbNear,
  anchored,
  overBed,
  hangingLoad,
  smallHands,
  plantHarm,
  outsideSpot,
  sameSpace,
  onePlace,
  keptClear,
  functionKept,
  cordReach,
  balance,
  heightSteps,
  air,
  oddGroup,
  hiddenBehind,
  artWidth,
  gapOver,
  artHeight,
  galleryGaps,
  mirrorHeight,
  lampAndShade,
  lampHeight,
  stemsInVase,
  sightLine,
  placeSettings,
  runnerOverhang,
  rugBorder,
  curtainRod,
  wreathSize,
  garlandLength,
  ornamentsPerFoot,
  plantLight,
  fruitInSun,
  accentEchoes,
  repeatedColor,
]);
