import { coatsUntilHidden, type HidingEye, hidingThresholds } from '../color/coatsUntilHidden';
import { type Lab, labFromHex, mixLab } from '../color/lab';
import type { Candidate } from './candidates';

/** A color for a primer that saves coats of the paint above. */
export interface TintOffer {
  kind: 'gray' | 'tinted';
  lab: Lab;
  coats: number;
  saves: number;
}

/**
 * What a tinted or a gray primer would save: gray of the paint's own lightness, or the primer brought half of the way
 * to the color (modelling choices). The one that saves most, the gray one among equals; null when nothing is saved.
 * @param whiteCoats coats of the paint over the untinted primer
 */
export function tintOffer(primer: Candidate, paint: Candidate, whiteCoats: number, eye: HidingEye): TintOffer | null {
  const target = paint.color;
  if (!target || !primer.coating.primer?.tintable || primer.color !== null) return null;
  const base = labFromHex(primer.coating.primer.color ?? '#ffffff');
  const offers = (
    [
      ['gray', { L: target.L, a: 0, b: 0 }],
      ['tinted', mixLab(base, target, 0.5)],
    ] as const
  ).map(([kind, lab]): TintOffer => {
    const { coats } = coatsUntilHidden(lab, target, paint.coating.hiding, hidingThresholds[eye]);
    return { kind, lab, coats, saves: whiteCoats - coats };
  });
  const best = offers.reduce((a, b) => (b.saves > a.saves ? b : a));
  return best.saves > 0 ? best : null;
}
