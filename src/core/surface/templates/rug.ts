import { type DrawnShape, drawnRectangle } from '../drawing';
import { lyingCloth } from './lyingCloth';

const FRINGES = 25;

/** A rug on the floor: its face can be stenciled or dyed. */
export const rug = lyingCloth({
  id: 'rug',
  name: 'Rug or mat',
  words: ['area rug', 'door mat', 'doormat', 'bath mat', 'jute rug', 'rug', 'rugs'],
  width: [1500, 200, 6000],
  length: [2100, 200, 9000],
  thickness: [10, 1, 80],
  use: 'seen',
  edgeShade: -6,
  // A border, a field, fringes at both ends.
  face: (widthMm, depthMm) => {
    const border = Math.min(widthMm, depthMm) * 0.1;
    const fringe = Math.min(depthMm * 0.04, 60);
    const fringes = Array.from({ length: FRINGES }, (_, n): DrawnShape[] => {
      const x = (widthMm * (n + 0.5)) / FRINGES;
      const line = (from: number, to: number): DrawnShape => ({
        kind: 'line',
        zoneId: 'face',
        shade: 0,
        thickMm: 2,
        points: [
          [x, from],
          [x, to],
        ],
      });
      return [line(0, fringe), line(depthMm - fringe, depthMm)];
    }).flat();
    return [
      ...fringes,
      drawnRectangle('face', 0, fringe, widthMm, depthMm - 2 * fringe, -10),
      drawnRectangle(
        'face',
        border,
        fringe + border,
        widthMm - 2 * border,
        Math.max(1, depthMm - 2 * fringe - 2 * border),
        8,
      ),
    ];
  },
});
