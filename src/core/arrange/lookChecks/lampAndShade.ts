import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import type { LookThing } from '../look/lookThing';
import { awayFix, editFix, holding, type LookSaid, lookAgain, lookCheck } from './lookCheck';
import { inches } from './where';

/** A shade is about two thirds as high as its base, some say three quarters. */
const LEAST_SHARE = 0.6;
const MOST_SHARE = 0.75;
/** It is about as wide as the base is high, or twice as wide as the base. */
const WIDTH_SLACK_MM = inches(2);

const fits = (base: LookThing, shade: LookThing) => ({
  height:
    shade.size.heightMm >= LEAST_SHARE * base.size.heightMm - 3 &&
    shade.size.heightMm <= MOST_SHARE * base.size.heightMm + 3,
  width:
    Math.abs(shade.size.widthMm - base.size.heightMm) <= WIDTH_SLACK_MM ||
    Math.abs(shade.size.widthMm - 2 * base.size.widthMm) <= WIDTH_SLACK_MM,
});

/** A shade against the base that it stands on. */
export const lampAndShade = lookCheck({
  id: 'lampAndShade',
  name: 'Lamp and shade',
  source: commonPractice,
  school: 'two thirds of the base',
  sentences: {
    holds: (f: { lamp: string }) => `The shade suits ${f.lamp}`,
    misfits: (f: { lamp: string }) => `The shade does not suit ${f.lamp}`,
    told: (f: { shadeMm: number; baseMm: number; wideMm: number }, { units }) =>
      `${formatLength(f.shadeMm, units)} high on a base of ${formatLength(f.baseMm, units)}, ${formatLength(f.wideMm, units)} wide: 0.6 to 0.75 as high as the base, about as wide as the base is high.`,
    swap: (f: { way: string }) => `${f.way} instead`,
    takeAway: (f: { shade: string }) => `Take ${f.shade} away`,
  },
  check: (facts, say) =>
    facts.things
      .filter(({ kinds, placement }) => kinds.has('shade') && placement.onId !== null)
      .flatMap((shade): LookSaid[] => {
        const base = facts.things.find(({ id }) => id === shade.placement.onId);
        if (!base?.kinds.has('lamp')) return [];
        const { height, width } = fits(base, shade);
        const text = say('told', {
          shadeMm: shade.size.heightMm,
          baseMm: base.size.heightMm,
          wideMm: shade.size.widthMm,
        });
        const about = [shade.id, base.id];
        if (height && width) return [holding(say('holds', { lamp: base.name }), text, about)];
        const way = facts.otherWays(shade).find((other) => {
          const found = fits(base, other);
          return found.height && found.width;
        });
        return [
          lookAgain(say('misfits', { lamp: base.name }), text, about, [
            ...(way ? [editFix(say('swap', { way: way.name }), shade.id, { optionId: way.placement.optionId })] : []),
            awayFix(say('takeAway', { shade: shade.name }), shade.id),
          ]),
        ];
      }),
});
