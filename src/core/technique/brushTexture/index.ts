import { technique } from '../parts';

/** Thick medium over a print, worked with the brush: it looks painted (common practice, from memory). */
export const brushTexture = technique({
  id: 'brushTexture',
  words: ['brush texture', 'oil painting look', 'textured medium'],
  name: 'Brush texture over a print',
  family: 'paper',
  remark: 'one thick coat; strokes follow the forms, then crosswise; quickly, and on card rather than copy paper',
  accepts: (coating) => coating.group === 'decoupage',
  rate: { perM2: 'brushTexture' },
  spreadingRateKey: 'technique.brushTexture.spreadingRateM2PerL',
  coats: 1,
});
