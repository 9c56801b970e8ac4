import { technique } from '../parts';

/** A translucent coat, worked while it is open for ten to thirty minutes. */
export const glaze = technique({
  id: 'glaze',
  words: ['glaze', 'glazed'],
  name: 'Glaze, worked back',
  family: 'translucent',
  remark: 'one side at a time: it stays workable 10 to 30 minutes; wipe back until it lies as wanted',
  difficulty: 2,
  skillAsked: 'working against the clock',
  accepts: (coating) => coating.group === 'glaze',
  rate: { perM2: 'glaze' },
  extras: [{ kindId: 'rag', perM2: 0.5 }],
  coats: 'table',
});
