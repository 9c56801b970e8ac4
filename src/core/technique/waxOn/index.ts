import { technique } from '../parts';

/** Clear or dark wax: rubbed in, left, buffed. */
export const waxOn = technique({
  id: 'waxOn',
  words: ['wax', 'waxed'],
  name: 'Wax, rubbed in and buffed',
  family: 'protect',
  remark: 'as thin as you can; buff when it hazes. It wants renewing every 6 to 24 months, and blocks later paint',
  accepts: (coating) => coating.group === 'wax',
  rate: { perM2: 'wax' },
  toolIds: ['waxBrush'],
  extras: [{ kindId: 'rag', perM2: 0.5 }],
  coats: 'table',
});
