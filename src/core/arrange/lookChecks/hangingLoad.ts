import { type Fixing, fixings } from '../../catalog/fixings';
import { formatWeight } from '../../kernel/formatWeight';
import { commonPractice } from '../../kernel/source';
import {
  fixingLoad,
  type HungWhere,
  type LoadReason,
  leastFixing,
  STRUCTURE_G,
  STUD_OR_TOGGLE_G,
} from '../hanging/fixingLoad';
import { hungThings, hungWhere } from '../hanging/hungThings';
import { awayFix, editFix, holding, type LookFix, type LookSaid, lookAgain, lookCheck } from './lookCheck';

/** Why a fixing holds nothing, or less, in words. */
const reasonWords: Readonly<Record<LoadReason, string>> = {
  adhesiveFace: 'strips hold nothing on this face',
  adhesiveFresh: 'strips hold nothing on paint younger than a week',
  adhesiveHeat: 'strips hold nothing near heat',
  adhesiveOutdoors: 'strips hold nothing outdoors',
  adhesiveBed: 'strips hold nothing over a bed',
  damp: 'steam takes half of it',
  plaster: 'plaster on lath takes half of it',
  wrongWall: 'it is not made for this wall',
  noStud: 'no stud is known there',
};

/** What holds each thing on the wall, against its weight. A caution: it cannot be set aside. */
export const hangingLoad = lookCheck({
  id: 'hangingLoad',
  name: 'What holds it on the wall',
  source: commonPractice,
  isCaution: true,
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} is held`,
    weak: (f: { thing: string }) => `${f.thing} is not held`,
    told: (f: { fixing: string; holdsG: number; weightG: number; why: string }, { units }) =>
      `${f.fixing} holds ${formatWeight(f.holdsG, units)} there by design, it weighs ${formatWeight(f.weightG, units)}${f.why === '' ? '' : `: ${f.why}`}.`,
    unweighed: (f: { thing: string }) => `${f.thing} is not weighed`,
    unweighedTold: (f: { fixing: string; holdsG: number }, { units }) =>
      `${f.fixing} holds ${formatWeight(f.holdsG, units)} there: put it on a scale before it hangs.`,
    structure: (f: { thing: string }) => `${f.thing} is heavy for a wall`,
    structureTold: (f: { weightG: number }, { units }) =>
      `${formatWeight(f.weightG, units)}: have somebody look at the wall itself, and hang it with two people.`,
    change: (f: { fixing: string }) => `${f.fixing}`,
    takeDown: () => 'Take it down',
  },
  check: (facts, say) =>
    hungThings(facts.spot, facts.things).flatMap((hung): LookSaid[] => {
      const { thing, nails } = hung;
      const where: HungWhere = hungWhere(facts.spot, hung, facts.household, facts.today);
      const weight = thing.weightG;
      const chosen: Fixing | null =
        fixings.find(thing.placement.heldBy?.fixingId ?? '') ??
        (weight === null ? null : leastFixing(weight, nails.length, where, !facts.household.noDrilling));
      const takeDown = awayFix(say('takeDown'), thing.id);
      const about = [thing.id];
      if (weight !== null && weight >= STRUCTURE_G)
        return [
          lookAgain(
            say('structure', { thing: thing.name }),
            say('structureTold', { weightG: weight }),
            about,
            [takeDown],
            'stop',
          ),
        ];
      const load = chosen ? fixingLoad(chosen, thing.placement.heldBy?.ratedG ?? null, nails.length, where) : null;
      if (weight === null)
        return chosen && load
          ? [
              {
                title: say('unweighed', { thing: thing.name }),
                text: say('unweighedTold', { fixing: chosen.name, holdsG: load.holdsG }),
                state: 'note',
                about,
                fixes: [],
              },
            ]
          : [];
      const isStrong =
        weight < STUD_OR_TOGGLE_G ||
        chosen?.inStud === true ||
        chosen?.id.startsWith('toggle') === true ||
        chosen?.id === 'masonryPlug';
      const text = say('told', {
        fixing: chosen?.name ?? 'Nothing of the list',
        holdsG: load?.holdsG ?? 0,
        weightG: weight,
        why: (load?.reasons ?? []).map((reason) => reasonWords[reason]).join(', '),
      });
      if (chosen && load && load.holdsG >= weight && isStrong)
        return [holding(say('holds', { thing: thing.name }), text, about)];
      const better = leastFixing(weight, nails.length, where, !facts.household.noDrilling);
      const fixes: LookFix[] = [
        ...(better
          ? [
              editFix(say('change', { fixing: better.name }), thing.id, {
                heldBy: { fixingId: better.id, ratedG: null },
              }),
            ]
          : []),
        takeDown,
      ];
      return [lookAgain(say('weak', { thing: thing.name }), text, about, fixes, 'stop')];
    }),
});
