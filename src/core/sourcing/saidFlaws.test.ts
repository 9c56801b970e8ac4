import { describe, expect, it } from 'vitest';
import type { Inspected } from '../catalog/inspection';
import { saidFlaws } from './saidFlaws';

const stand: Inspected = {
  materialId: 'pine',
  finishId: null,
  templateId: 'nightstand',
  kind: 'ordinary',
  traits: [],
  name: 'Nightstand',
  era: 'unknown',
};
const ids = (line: string, piece = stand) => saidFlaws(line, piece).map(({ check }) => check);

describe('flaws that a line says', () => {
  it.each([
    ['nightstand, $12, one drawer sticks', ['wood.drawers']],
    ['nightstand, wobbly', ['wood.wobble']],
    ['nightstand wobbles, a knob missing', ['wood.wobble', 'wood.knob']],
    ['drawer missing', ['wood.drawerGone']],
    ['veneer lifting', ['wood.veneer']],
    ['carved nightstand, $20', ['wood.lines']],
    ['ornate nightstand', ['wood.lines']],
    ['nightstand, pine, $24', []],
  ])('“%s”', (line, checks) => {
    expect(ids(line)).toEqual(checks);
  });

  it('are those of its own lists: a drawer of a glass vase is none', () => {
    expect(ids('one drawer sticks', { ...stand, materialId: 'glass', templateId: 'vase', name: 'Vase' })).toEqual([]);
  });
});
