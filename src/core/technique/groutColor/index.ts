import { technique } from '../parts';

/** Colorant into open grout joints; the area is that of the joints alone. */
export const groutColor = technique({
  id: 'groutColor',
  words: ['grout'],
  name: 'Grout color',
  family: 'cover',
  remark: 'a narrow brush along the joint, wipe the tile at once with a damp cloth',
  difficulty: 2,
  skillAsked: 'patience on your knees',
  accepts: (coating) => coating.id === 'groutColorant',
  rate: { perM2: 'grout' },
  detailFactor: () => 1,
  toolIds: ['artistBrush'],
  extras: [{ kindId: 'rag', perM2: 2 }],
  demands: (state) =>
    state.substrateId === 'groutJoint' && !state.sealed
      ? null
      : {
          verdict: 'never',
          waitHours: 0,
          reason: state.sealed
            ? 'a sealer keeps colorant out: strip it and let it dry a day'
            : 'colorant is made to soak into grout, and into nothing else',
        },
});
