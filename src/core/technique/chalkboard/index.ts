import { technique } from '../parts';

/** Chalkboard paint, cross-brushed, rested three days, rubbed in with chalk before it is written on. */
export const chalkboard = technique({
  id: 'chalkboard',
  words: ['chalkboard', 'blackboard'],
  name: 'Chalkboard, seasoned',
  family: 'cover',
  remark: 'second coat across the first; no clear coat, it kills the tooth',
  accepts: (coating) => coating.id === 'chalkboardPaint',
  finishing: [
    { id: 'season', title: 'Season: rub all over with the side of a chalk, wipe dry', rate: 'season', waitHours: 72 },
  ],
});
