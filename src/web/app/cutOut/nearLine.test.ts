import { describe, expect, it } from 'vitest';
import { nearLine } from './nearLine';

const square = [
  [
    { x: 0.2, y: 0.2 },
    { x: 0.8, y: 0.2 },
    { x: 0.8, y: 0.8 },
    { x: 0.2, y: 0.8 },
  ],
];
const screen = { widthPx: 500, heightPx: 400 };

describe('what a press on a cut-out means', () => {
  it('is the nearest point within a thumb', () => {
    expect(nearLine(square, { x: 0.22, y: 0.23 }, screen)).toMatchObject({ ring: 0, point: 0, isPoint: true });
    expect(nearLine(square, { x: 0.79, y: 0.78 }, screen)).toMatchObject({ point: 2, isPoint: true });
  });

  it('is the line that it lies on, where a new point comes; the last one closes the ring', () => {
    expect(nearLine(square, { x: 0.5, y: 0.21 }, screen)).toMatchObject({ point: 0, isPoint: false });
    expect(nearLine(square, { x: 0.19, y: 0.5 }, screen)).toMatchObject({ point: 3, isPoint: false });
  });

  it('is nothing elsewhere', () => {
    expect(nearLine(square, { x: 0.5, y: 0.5 }, screen)).toBeNull();
    expect(nearLine([], { x: 0.5, y: 0.5 }, screen)).toBeNull();
  });
});
