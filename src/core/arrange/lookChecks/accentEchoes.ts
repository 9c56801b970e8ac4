import { ciede2000 } from '../../color/ciede2000';
import { listed } from '../../kernel/listed';
import { commonPractice } from '../../kernel/source';
import { accentEcho } from '../look/accentEcho';
import { awayFix, lookCheck, swapFix } from './lookCheck';

const NEAR = 10;

/** Whether the palette's accents echo over the pieces and spots of the project. */
export const accentEchoes = lookCheck({
  id: 'accentEchoes',
  name: 'Accents echo',
  source: commonPractice,
  sentences: {
    echoes: (f: { accent: string }) => `${f.accent} echoes`,
    alone: (f: { accent: string }) => `${f.accent} stands alone`,
    everywhere: (f: { accent: string }) => `${f.accent} is everywhere`,
    absent: (f: { accent: string }) => `${f.accent} is not seen yet`,
    told: (f: { pieces: number; spots: number; percent: number }) =>
      `On ${f.pieces === 1 ? 'one piece' : `${f.pieces} pieces`} in ${f.spots === 1 ? 'one spot' : `${f.spots} spots`}, ${f.percent} % of them: two pieces or spots, and no more than 60 %.`,
    swap: (f: { way: string; thing: string }) => `${f.way} in the place of ${f.thing}`,
    takeAway: (f: { thing: string }) => `Take ${f.thing} away`,
  },
  check: (facts, say) => {
    const here = facts.things.flatMap(({ id, color }) => (color ? [{ id, spotId: facts.spot.id, color }] : []));
    const there = facts.elsewhere.flatMap(({ spotId, things }) =>
      things.flatMap(({ color }) => (color ? [{ spotId, color }] : [])),
    );
    if (here.length < 3) return [];
    return facts.accents.map(({ name, lab }) => {
      const { pieces, spots, share, verdict } = accentEcho(lab, [...here, ...there]);
      const isNear = (color: typeof lab | null) => color !== null && ciede2000(color, lab) <= NEAR;
      const text = say('told', { pieces, spots, percent: Math.round(share * 100) });
      const bearers = facts.things.filter(({ color }) => isNear(color));
      const swaps = facts.things
        .flatMap((thing) => facts.otherWays(thing).map((changed) => ({ thing, changed })))
        .filter(({ thing, changed }) => isNear(changed.color) !== isNear(thing.color))
        .filter(({ changed }) => isNear(changed.color) === (verdict === 'alone' || verdict === 'absent'));
      // The fewest that leave, so that the accent echoes (or, where it stands alone, is gone) afterwards.
      const leaving =
        bearers
          .map((_, n) => bearers.slice(n))
          .reverse()
          .find((some) => {
            const ids = new Set(some.map(({ id }) => id));
            const rest = here.filter(({ id }) => !ids.has(id));
            return accentEcho(lab, [...rest, ...there]).verdict === (verdict === 'alone' ? 'absent' : 'echoes');
          }) ?? [];
      const asks = (verdict === 'everywhere' || verdict === 'alone') && (swaps.length > 0 || leaving.length > 0);
      return {
        title: say(verdict, { accent: name }),
        text,
        state: verdict === 'echoes' ? ('holds' as const) : asks ? ('lookAgain' as const) : ('note' as const),
        about: verdict === 'everywhere' || verdict === 'alone' ? bearers.map(({ id }) => id) : [],
        fixes: [
          ...swaps
            .slice(0, 1)
            .map(({ thing, changed }) =>
              swapFix(say('swap', { way: changed.name, thing: thing.name }), thing, changed),
            ),
          ...(asks && leaving.length > 0
            ? [
                awayFix(
                  say('takeAway', { thing: listed(leaving.map((thing) => thing.name)) }),
                  ...leaving.map(({ id }) => id),
                ),
              ]
            : []),
        ],
      };
    });
  },
});
