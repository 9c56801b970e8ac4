import { hidingThresholds } from '../../color/coatsUntilHidden';
import { type Explained, explain } from '../../kernel/explained';
import { calculated, fromLog, fromYou, modellingChoice } from '../../kernel/source';
import type { CoatCount } from '../../recipe/coatCount';
import type { StackEntry } from '../../recipe/stack';
import type { Plan } from '../computePlan';

const coatReasons: Record<CoatCount['reason'], string> = {
  overruled: 'your own figure',
  untilHidden: 'until what shows is under the threshold, within the table’s fewest and most',
  yourLog: 'what your log says was given beyond what hides by the tables',
  alwaysTwo: 'school: always two',
  asLabel: 'school: as the label says',
  filmBuild: 'it hides sooner; this use wants a film of two',
  clearBuild: 'fewest of the table where it is seen or handled, usual where it is worn',
  primer: 'the table’s usual for a primer',
  translucent: 'the table’s usual: it lets the ground show',
  technique: 'this technique goes over once',
  paper: 'one beneath the paper; above it two on thin paper, three on card, five where it is worn',
  colorMissing: 'no color yet: the table’s usual for light over dark',
};

/** Why a layer takes so many coats on a zone. */
export function explainCoats(plan: Plan, entry: StackEntry): Explained {
  const { hiding, reason, coats } = entry.coats;
  const because: Explained[] = [];
  if (hiding) {
    because.push(
      explain('From the color beneath to the new one', hiding.difference, 'deltaE', {
        source: { kind: 'reference', document: 'CIEDE2000, Sharma, Wu & Dalal 2005' },
      }),
      explain('One coat hides', Math.round(hiding.hidingPerCoat * 1000) / 10, 'percent', {
        source: modellingChoice,
        note: hiding.weakPigment ? 'strong yellows and oranges hide less' : 'from the table’s typical coats',
      }),
      ...hiding.showing.map((value, index) =>
        explain(`Still shows after ${index + 1}`, value, 'deltaE', { source: calculated }),
      ),
      explain('Accepted', hidingThresholds[plan.rows.project.eye], 'deltaE', {
        source: modellingChoice,
        note: '2 is noticed side by side',
      }),
    );
  }
  return explain('Coats', coats, 'coats', {
    source: reason === 'overruled' ? fromYou : reason === 'yourLog' ? fromLog : modellingChoice,
    note: coatReasons[reason],
    because,
  });
}
