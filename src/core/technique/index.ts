import type { Coating } from '../catalog/coating';
import { createRegistry } from '../kernel/registry';
import { brushOn } from './brushOn';
import { brushTexture } from './brushTexture';
import { chalkboard } from './chalkboard';
import { clearCoat } from './clearCoat';
import { creviceAge } from './creviceAge';
import { distress } from './distress';
import { dryBrush } from './dryBrush';
import { edgeInk } from './edgeInk';
import { filmDrops } from './filmDrops';
import { filmPanels } from './filmPanels';
import { filmShapes } from './filmShapes';
import { gelStain } from './gelStain';
import { glaze } from './glaze';
import { groutColor } from './groutColor';
import { leafByLeaf } from './leafByLeaf';
import { miniRoller } from './miniRoller';
import { paperMotifs } from './paperMotifs';
import { paperPatches } from './paperPatches';
import { paperSheets } from './paperSheets';
import { paperStrips } from './paperStrips';
import { paperTiles } from './paperTiles';
import { paperTorn } from './paperTorn';
import { roller } from './roller';
import { sprayOn } from './sprayOn';
import { stain } from './stain';
import { stainAndSeal } from './stainAndSeal';
import { stencil } from './stencil';
import type { Technique } from './technique';
import { textureSpray } from './textureSpray';
import { touchUp } from './touchUp';
import { twoColor } from './twoColor';
import { wash } from './wash';
import { waxOn } from './waxOn';

/** Every way to put a layer on or to work one, in the order menus show them. */
export const techniques = createRegistry<Technique>('techniques', [
  brushOn,
  miniRoller,
  roller,
  sprayOn,
  textureSpray,
  wash,
  stain,
  gelStain,
  stainAndSeal,
  glaze,
  chalkboard,
  groutColor,
  leafByLeaf,
  twoColor,
  dryBrush,
  stencil,
  edgeInk,
  creviceAge,
  distress,
  touchUp,
  waxOn,
  clearCoat,
  paperSheets,
  paperTorn,
  paperStrips,
  paperTiles,
  paperMotifs,
  paperPatches,
  brushTexture,
  filmPanels,
  filmDrops,
  filmShapes,
]);

/** The assumption key of minutes by the square meter or by the piece. */
export function laborKey(rate: Technique['rate']): string {
  return 'perM2' in rate ? `labor.${rate.perM2}MinutesPerM2` : `labor.${rate.each}MinutesEach`;
}

/** The assumption key of cleaning up after a coating. */
export function cleanUpKey(coating: Coating): string {
  switch (coating.cleanUp) {
    case 'water':
      return 'session.cleanUpWaterMinutes';
    case 'solvent':
      return 'session.cleanUpSolventMinutes';
    case 'aerosol':
      return 'session.cleanUpAerosolMinutes';
    case 'dry':
      return 'session.cleanUpDryMinutes';
    default:
      return coating.cleanUp satisfies never;
  }
}
