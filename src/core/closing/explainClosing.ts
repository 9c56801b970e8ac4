import { type Explained, explain, explainSum } from '../kernel/explained';
import { fromLog } from '../kernel/source';
import { moneyKindNames } from './moneyKindNames';
import { cashOf, minutesOf, type Reckoning, type SlotReckoning } from './reckon';
import type { Saved } from './saved';

const FROM_BOOKS = 'paid and ordered, by the books; a thing that serves several slots is split by what each takes';

/** Why it came to so much money: slot by slot, then what no slot bears. */
export function explainCameTo(reckoning: Reckoning): Explained {
  return explainSum('What it came to', 'money', [
    ...reckoning.slots
      .filter((of) => cashOf(of) !== 0)
      .map((of) => explain(of.slot.name, cashOf(of), 'money', { because: partsOfCash(of), note: FROM_BOOKS })),
    ...reckoning.rest.money.map((entry) =>
      explain(`${entry.name}, for no slot`, entry.paid + entry.toGo, 'money', {
        note: moneyKindNames[entry.kind].toLowerCase(),
      }),
    ),
  ]);
}

function partsOfCash(of: Pick<SlotReckoning, 'paid' | 'cashToGo'>): Explained[] {
  return [
    ...(of.paid === 0 ? [] : [explain('Paid and ordered', of.paid, 'money')]),
    ...(of.cashToGo === 0 ? [] : [explain('Still planned', of.cashToGo, 'money')]),
  ];
}

/** Why so much was saved: each yardstick less what the slot came to, in cash and off the shelf. */
export function explainSaved(saved: Saved): Explained {
  return explainSum(
    'Saved against new',
    'money',
    saved.slots.map(({ of, yardstick, saved: minor }) =>
      explain(of.slot.name, minor, 'money', {
        adds: true,
        because: [
          explain(yardstick.name, yardstick.cost, 'money', {
            note: 'its yardstick on the board, with tax and delivery, for as many as are filled',
            ...(yardstick.atLeast ? { atLeast: true } : {}),
          }),
          explain('What it came to in cash', -cashOf(of), 'money', { note: FROM_BOOKS }),
          ...(of.stash === 0 ? [] : [explain('Off the shelf, beyond what was bought here', -of.stash, 'money')]),
        ],
      }),
    ),
  );
}

/** Why an hour earned so much: what was saved over the hours beyond the yardsticks' own. */
export function explainPerHour(saved: Saved): Explained {
  const hours = (minutes: number) => minutes / 60;
  return explain('Your hour earned', saved.perHour ?? 'not priced', saved.perHour === null ? 'text' : 'moneyPerHour', {
    note: 'saved ÷ (hours − the yardsticks’ hours); differences of up to 15 minutes are not priced',
    because: [
      explainSaved(saved),
      explainSum('Hours beyond the yardsticks’', 'hours', [
        explain('Hours of the project', hours(saved.minutes), 'hours', {
          ...(saved.notLoggedMinutes >= 1
            ? { note: `${hours(saved.notLoggedMinutes).toFixed(1)} h of them as planned, since nobody logged them` }
            : {}),
        }),
        explain('Hours that new ones would have taken', -hours(saved.yardstickMinutes), 'hours'),
      ]),
    ],
  });
}

/** Why so many hours: done and still planned, slot by slot, then what no slot bears. */
export function explainHoursCameTo(reckoning: Reckoning, nameOfSpot: (spotId: string) => string): Explained {
  return explainSum('Hours', 'minutes', [
    ...reckoning.slots
      .filter((of) => minutesOf(of) >= 1)
      .map((of) => explain(of.slot.name, minutesOf(of), 'minutes', { because: partsOfHours(of) })),
    ...reckoning.rest.work.map((entry) =>
      explain(
        entry.spotId === null ? 'Work that serves no slot any more' : nameOfSpot(entry.spotId),
        entry.done + entry.toGo,
        'minutes',
      ),
    ),
  ]);
}

function partsOfHours(of: Pick<SlotReckoning, 'doneMinutes' | 'toGoMinutes'>): Explained[] {
  return [
    ...(of.doneMinutes < 1 ? [] : [explain('Done', of.doneMinutes, 'minutes', { source: fromLog })]),
    ...(of.toGoMinutes < 1 ? [] : [explain('Still planned', of.toGoMinutes, 'minutes')]),
  ];
}
