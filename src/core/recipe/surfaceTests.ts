import { finishLeftBy } from '../catalog/substrates.data';
import type { Condition } from '../state/preparation';
import type { SurfaceTestId } from '../state/surfaceTest';

/** A test anyone can make with what is in the kitchen, and how (common practice, no source). */
export const surfaceTests: Readonly<Record<SurfaceTestId, { question: string; how: string }>> = {
  waterBeads: {
    question: 'Does a drop of water bead?',
    how: 'a minute on a level place; soaking in means open and bare',
  },
  alcoholSoftens: {
    question: 'Does alcohol soften it?',
    how: 'a cotton bud of denatured alcohol, rubbed ten times out of sight',
  },
  chalksOff: { question: 'Does a dry thumb come away chalky?', how: 'on a dark cloth' },
  waxCurls: { question: 'Does a fingernail lift a soft curl?', how: 'out of sight; wax smears and curls' },
  magnetHolds: {
    question: 'Does a magnet hold?',
    how: 'for metal: it holds on iron and steel, not on brass or zinc alloy',
  },
};

/** What the tests suggest is there; each may be taken over. */
export interface SurfaceReading {
  because: string;
  finishId?: string | null;
  materialId?: string;
  condition?: Condition;
}

/**
 * Reads the simple tests. They narrow down, they do not prove: an answer is a suggestion with its reason
 * (common practice, no source).
 */
export function readSurfaceTests(tests: Partial<Record<SurfaceTestId, boolean>>): SurfaceReading[] {
  const readings: SurfaceReading[] = [];
  if (tests.waxCurls)
    readings.push({ because: 'a soft curl under the nail is wax', finishId: finishLeftBy('clearWax') });
  else if (tests.alcoholSoftens && tests.chalksOff)
    readings.push({ because: 'it chalks and alcohol softens it: chalk-type paint', finishId: finishLeftBy('chalk') });
  else if (tests.alcoholSoftens)
    readings.push({ because: 'what alcohol softens is waterborne', finishId: finishLeftBy('wallAcrylic') });
  else if (tests.alcoholSoftens === false && tests.waterBeads)
    readings.push({ because: 'water beads and alcohol does nothing: an old varnish', finishId: 'glossyVarnish' });
  else if (tests.waterBeads === false)
    readings.push({ because: 'water soaks in: it is open and bare', finishId: null });
  if (tests.magnetHolds) readings.push({ because: 'a magnet holds on iron and steel', materialId: 'ferrousMetal' });
  if (tests.magnetHolds === false)
    readings.push({
      because: 'metal that no magnet holds on is brass, aluminum or zinc',
      materialId: 'nonferrousMetal',
    });
  return readings;
}
