import type { Household } from '../state/brief';
import type { Plan } from './computePlan';

/** Which warnings an entry of the brief feeds, by the codes of their findings. */
const feeds: Record<keyof Household, readonly string[]> = {
  youngestChildYears: ['caution.lead.child', 'caution.child.contact'],
  pregnancy: ['caution.lead.child', 'caution.solvent.air'],
  pets: ['caution.pets.drying'],
  rented: ['place.rentedWall', 'place.askFirst', 'place.staysBehind'],
  noDrilling: ['place.noDrilling'],
  reversibleOnly: ['place.reversibleOnly', 'place.askFirst'],
  outdoors: ['place.outdoors'],
  damp: ['caution.place.damp'],
  heatNear: ['caution.place.heat'],
  foodNear: ['caution.place.food'],
  buildingWorks: ['caution.place.works'],
  cordReachMm: ['place.cordReach'],
};

/** How many ways to fill a slot a brief entry warns of now. */
export type BriefFeeds = Record<keyof Household, number>;

const isSaid = (value: Household[keyof Household]): boolean =>
  Array.isArray(value) ? value.length > 0 : value !== null && value !== false;

/** Counts, for each entry of the household and place, the options that it puts a warning on in this plan. */
export function briefFeeds(plan: Plan): BriefFeeds {
  const options = plan.slots.flatMap((slot) => slot.options);
  return Object.fromEntries(
    Object.entries(feeds).map(([entry, codes]) => [
      entry,
      // Some of these cautions also come without it: they count for an entry only once it says something.
      isSaid(plan.rows.project.household[entry as keyof Household]) === false
        ? 0
        : options.filter((option) => option.findings.some((finding) => codes.includes(finding.code))).length,
    ]),
  ) as BriefFeeds;
}
