import { carving, check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: frames and mirrors. */
export const frame: Inspection = {
  id: 'frame',
  name: 'Frames and mirrors',
  applies: (piece) => ['pictureFrame', 'mirror'].includes(piece.templateId),
  checks: [
    check('frame.corners', 'Corners', 'press the corners: do they open?', mend('a corner opens', 15, ['woodGlue', 5])),
    check('frame.glass', 'Glass', 'there, whole, no scratches?', mend('the glass is missing', 5, ['glassPane', 1])),
    check(
      'frame.back',
      'Back and hanger',
      'does the back hold? is there a hanger?',
      mend('a hanger to put on', 10, ['screws', 2]),
    ),
    check('frame.silver', 'Silvering', 'black spots in the mirror?', turnInto('blind spots', 'as an aged mirror')),
    check('frame.lines', 'Lines', 'plain and straight, or ornate?', carving),
    check('frame.mat', 'Mat', 'stained or faded?', turnInto('the mat is stained', 'turn it over, or leave it out')),
  ],
};
