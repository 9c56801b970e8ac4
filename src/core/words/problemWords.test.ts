import { describe, expect, it } from 'vitest';
import { rowEntities } from '../model/entities';
import { project } from '../model/entities/project';
import { fieldWords, problemWords, valueWords } from './problemWords';

const ID = '0c0f6a34-29ff-4d0d-8a64-b675c2f29c53';

describe('a refusal in words', () => {
  it.each([
    ['slots.3.name', 'slot 4: name'],
    ['payload.values.widthMm', 'width'],
    ['body.pieces.0.count', 'recipe: piece 1: count'],
    ['project.brief.weeks.2.minutes', 'project: brief: week 3: minutes'],
    ['contingencyThousandths', 'kept back for surprises'],
    ['id', ''],
    ['values.spotId', 'spot'],
    ['ledger.0', 'ledger line 1'],
    ['(all)', ''],
    ['colorCardIds.1', 'color card 2'],
  ])('%s is “%s”', (path, words) => {
    expect(fieldWords(path)).toBe(words);
  });
  it('never says an id', () => {
    expect(problemWords({ field: 'id', value: ID, accepted: 'a slot that is still there' })).toBe(
      'Accepted: a slot that is still there',
    );
    expect(problemWords({ field: 'slotId', value: ID, accepted: 'a slot that is still there' })).toBe(
      'Slot; accepted: a slot that is still there',
    );
    expect(problemWords({ field: `recipes.${ID}.coats`, value: 99, accepted: 'at most 20' })).toBe(
      'Recipes: coats: “99”; accepted: at most 20',
    );
  });
  it('tells what was given, or that nothing was', () => {
    expect(problemWords({ field: 'values.budget', value: -3, accepted: 'at least 0' })).toBe(
      'Budget: “-3”; accepted: at least 0',
    );
    expect(problemWords({ field: 'name', value: '', accepted: 'text' })).toBe('Name: nothing; accepted: text');
    expect([valueWords(true), valueWords({ a: 1 }), valueWords(null)]).toEqual(['yes', '', 'nothing']);
  });
  it('has words without camels, dots and units for every field of every table', () => {
    for (const entity of [project, ...rowEntities])
      for (const field of Object.keys(entity.fields)) {
        const words = fieldWords(`values.${field}`);
        expect(words, field).toMatch(/^[a-z0-9 ]+$/);
        expect(words, field).not.toMatch(/ (mm|ms|thousandths|millionths)$/);
      }
  });
});
