import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import type { LookThing } from '../look/lookThing';
import { awayFix, editFix, holding, type LookSaid, lookAgain, lookCheck } from './lookCheck';

/** Stems with their vase are one and a half times as high as it, 1 to 2.5 by others. */
const LEAST = 1;
const USUAL = 1.5;
const MOST = 2.5;

/** The vase that stems stand in: what they stand on, else a vase whose width they share. */
function vaseOf(things: readonly LookThing[], stems: LookThing): LookThing | undefined {
  return things.find(
    ({ id, kinds, box }) =>
      id !== stems.id &&
      kinds.has('vase') &&
      !kinds.has('stems') &&
      (id === stems.placement.onId ||
        (box.leftMm < stems.box.rightMm &&
          box.rightMm > stems.box.leftMm &&
          Math.abs(box.footMm - stems.box.footMm) < box.topMm - box.footMm + 1)),
  );
}

/** How high stems reach over the rim of their vase, against the vase's own height. */
export const stemsInVase = lookCheck({
  id: 'stemsInVase',
  name: 'Stems and vase',
  source: commonPractice,
  school: 'one and a half times the vase',
  sentences: {
    holds: (f: { stems: string }) => `${f.stems} suits its vase`,
    short: (f: { stems: string }) => `${f.stems} is short for its vase`,
    long: (f: { stems: string }) => `${f.stems} is long for its vase`,
    told: (f: { overMm: number; vaseMm: number; share: string }, { units }) =>
      `${formatLength(f.overMm, units)} over a vase of ${formatLength(f.vaseMm, units)}: ${f.share} times; about 1.5, from 1 to 2.5.`,
    cut: (f: { toMm: number }, { units }) => `Stems of ${formatLength(f.toMm, units)}`,
    takeAway: (f: { stems: string }) => `Take ${f.stems} away`,
  },
  check: (facts, say) =>
    facts.isAbove
      ? []
      : facts.things
          .filter(({ kinds }) => kinds.has('stems') && !kinds.has('vase'))
          .flatMap((stems): LookSaid[] => {
            const vase = vaseOf(facts.things, stems);
            if (!vase) return [];
            const over = stems.box.topMm - vase.box.topMm;
            const share = over / vase.size.heightMm;
            const text = say('told', {
              overMm: Math.max(0, over),
              vaseMm: vase.size.heightMm,
              share: Math.max(0, share).toFixed(1),
            });
            const about = [stems.id, vase.id];
            if (share >= LEAST - 0.02 && share <= MOST + 0.02)
              return [holding(say('holds', { stems: stems.name }), text, about)];
            const toMm = vase.box.topMm + USUAL * vase.size.heightMm - stems.box.footMm;
            const fits = stems.box.footMm + toMm <= facts.room.heightMm;
            return [
              lookAgain(say(share < LEAST ? 'short' : 'long', { stems: stems.name }), text, about, [
                ...(fits ? [editFix(say('cut', { toMm }), stems.id, { size: { ...stems.size, heightMm: toMm } })] : []),
                awayFix(say('takeAway', { stems: stems.name }), stems.id),
              ]),
            ];
          }),
});
