import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: frames and mirrors. */
export const frame: Inspection = {
  id: 'frame',
  name: 'Frames and mirrors',
  applies: (piece) => ['pictureFrame', 'mirror'].includes(piece.templateId),
  checks: [
    check('frame.corners', 'Corners', 'press the corners: do they open?', mend('a corner opens', 15, ['woodGlue', 5])),
    check('frame.glass', 'Glass', 'there, whole, no scratches?', {
      says: 'the glass is missing',
      minutes: 5,
      takes: [{ kindId: 'glassPane', amount: 1 }],
      use: null,
    }),
    check(
      'frame.back',
      'Back and hanger',
      'does the back hold? is there a hanger?',
      mend('a hanger to put on', 10, ['screws', 2]),
    ),
    check('frame.silver', 'Silvering', 'black spots in the mirror?', turnInto('blind spots', 'as an aged mirror')),
    check('frame.mat', 'Mat', 'stained or faded?', turnInto('the mat is stained', 'turn it over, or leave it out')),
  ],
};
