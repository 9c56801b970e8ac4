import type { PhotoPlane } from '../../model/entities/look';
import type { Homography } from './homography';
import { type PhotoSize, photoMap } from './photoMap';

/** Where things of a spot are in its picture: on the wall, and at any distance before it. */
export interface RoomCamera {
  wall: Homography;
  /** The map of a plane that is parallel to the wall, so far before it, mm. */
  planeBefore(wallMm: number): Homography;
}

/**
 * A usual focal length as a share of the picture's longer side: the main camera of a telephone, like 26 mm on film 36 mm
 * wide (common practice, no source). It holds where the picture does not tell its own.
 */
const USUAL_FOCAL = 26 / 36;
/** A focal length beyond these is no lens that one takes pictures of rooms with, but taps that are a little off. */
const LEAST_FOCAL = 0.4;
const MOST_FOCAL = 3;

/**
 * The focal length that a picture of a wall tells, px: the columns of the map from the wall, seen through the lens, must
 * stand at right angles and be equally long (Zhang 2000, for one plane; the middle of the picture lies on the axis and
 * pixels are square). Two equations for one unknown, by least squares.
 * @param map from the wall to the picture, px from its middle
 * @returns null where the wall is seen straight on, so that every focal length would do
 */
export function focalLength(map: Homography, size: PhotoSize): number | null {
  const [a, b, , d, e, , g, h] = map;
  const equations = [
    { ofInverseSquare: a * b + d * e, rest: g * h },
    { ofInverseSquare: a * a + d * d - b * b - e * e, rest: g * g - h * h },
  ];
  const weight = equations.reduce((sum, { ofInverseSquare }) => sum + ofInverseSquare ** 2, 0);
  if (weight <= 0) return null;
  const inverseSquare = -equations.reduce((sum, { ofInverseSquare, rest }) => sum + ofInverseSquare * rest, 0) / weight;
  if (inverseSquare <= 0) return null;
  const focal = 1 / Math.sqrt(inverseSquare);
  const longer = Math.max(size.widthPx, size.heightPx);
  return focal >= LEAST_FOCAL * longer && focal <= MOST_FOCAL * longer ? focal : null;
}

/**
 * The camera that took a picture of a spot, from the marked rectangle on its wall.
 * @returns null where the corners are those of no rectangle, see {@link photoMap}
 */
export function roomCamera(plane: PhotoPlane, size: PhotoSize): RoomCamera | null {
  const wall = photoMap(plane, size);
  if (!wall) return null;
  const [middleX, middleY] = [size.widthPx / 2, size.heightPx / 2];
  const [a, b, c, d, e, f, g, h, i] = wall;
  // From the middle of the picture, where its axis goes through.
  const centered: Homography = [
    a - middleX * g,
    b - middleX * h,
    c - middleX * i,
    d - middleY * g,
    e - middleY * h,
    f - middleY * i,
    g,
    h,
    i,
  ];
  const focal = focalLength(centered, size) ?? USUAL_FOCAL * Math.max(size.widthPx, size.heightPx);
  const [p, q, , s, t, , u, v] = centered;
  const right = [p / focal, s / focal, u] as const;
  const up = [q / focal, t / focal, v] as const;
  const long = Math.sqrt(Math.hypot(...right) * Math.hypot(...up));
  // Out of the wall, at right angles to both of its directions and as long as they are.
  const out = [
    (right[1] * up[2] - right[2] * up[1]) / long,
    (right[2] * up[0] - right[0] * up[2]) / long,
    (right[0] * up[1] - right[1] * up[0]) / long,
  ] as const;
  // A map may be scaled by a negative number; the wall lies before the camera, and out of it is toward the camera.
  const toward = Math.sign(wallDepth(centered)) || 1;
  const step = [
    toward * (focal * out[0] + middleX * out[2]),
    toward * (focal * out[1] + middleY * out[2]),
    toward * out[2],
  ];
  return {
    wall,
    planeBefore: (mm) => [a, b, c + mm * (step[0] ?? 0), d, e, f + mm * (step[1] ?? 0), g, h, i + mm * (step[2] ?? 0)],
  };
}

/** How far the marked rectangle's own origin is before the camera, up to the scale of the map; its sign says which way that goes. */
const wallDepth = ([, , , , , , , , i]: Homography): number => i;
