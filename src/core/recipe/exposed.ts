import { type Joint, verdictSeverity } from '../state/joint';
import type { SurfaceState } from '../state/surfaceState';
import { checkJoint, type LayerAbove } from './checkJoint';

/**
 * What lies open at a moment, uppermost last. An accent or a rubbed-through edge leaves what is beneath open too, and
 * the next layer has to hold on all of it.
 */
export type Exposed = readonly [SurfaceState, ...SurfaceState[]];

/** The state that lies on top. */
export const uppermost = (exposed: Exposed): SurfaceState => exposed[exposed.length - 1] ?? exposed[0];

/**
 * The joint that decides: the severest of all that lies open, the longest wait among equals.
 * @param exposed what lies open, at least one state
 * @param over the layer that comes on it
 */
export function decisiveJoint(exposed: Exposed, over: LayerAbove): Joint {
  const joints = exposed.map((state) => checkJoint(state, over));
  return joints.reduce((worst, joint) => {
    const more = verdictSeverity[joint.verdict] - verdictSeverity[worst.verdict];
    return more > 0 || (more === 0 && joint.waitHours > worst.waitHours) ? joint : worst;
  });
}
