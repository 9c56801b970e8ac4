import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: upholstery. */
export const upholstery: Inspection = {
  id: 'upholstery',
  name: 'Upholstery',
  applies: (piece) =>
    ['chair', 'stool', 'bedHead'].includes(piece.templateId) ||
    /sofa|armchair|ottoman|upholster|cushion|mattress/i.test(piece.name),
  checks: [
    check(
      'upholstery.bugs',
      'Seams',
      'look into seams and under the piping: dark specks?',
      null,
      'bed bugs or moths: leave it outside the house',
      true,
    ),
    check(
      'upholstery.smell',
      'Smell',
      'smoke, pets, damp?',
      mend('airs for some days', 10),
      'pet or smoke smell in the foam',
    ),
    check(
      'upholstery.springs',
      'Springs and straps',
      'sit down and listen',
      mend('a strap is loose', 40),
      'springs are through',
    ),
    check(
      'upholstery.frame',
      'Frame',
      'lift one corner: does the other follow?',
      mend('frame wobbles', 30, ['woodGlue', 20]),
      'the frame is broken',
    ),
    check(
      'upholstery.cover',
      'Cover',
      'worn, torn, stained?',
      turnInto('cover worn', 'a throw over it, or a new seat cover', 20),
    ),
    check('upholstery.label', 'Fire label', 'is the label there?', null, null, true),
  ],
};
