import type { Sentences } from '../kernel/finding';

/** What is said of zones that touch food or lips; it also stands on sheets that are given away. */
export const foodSentences = {
  'food.ifLabelled': (f: { zone: string; coating: string; days: number }) =>
    `${f.zone} touches food or lips: ${f.coating} may only where its label says that it is made for food contact, and after full cure, about ${f.days} days. Without such a label: display only, with a glass plate or liner. Hand-wash only.`,
  'food.belowRim': (f: { zone: string; coating: string; days: number }) =>
    `${f.zone} touches food or lips: ${f.coating} stays on the outside, 20 mm (3/4 in) below the rim. Leave the inside and the rim bare.`,
  'food.displayOnly': (f: { zone: string; coating: string; days: number }) =>
    `${f.zone} with ${f.coating.toLowerCase()} is for display only: no food, no lips. Leave the inside and 20 mm (3/4 in) below the rim bare, or lay a glass plate or liner over it.`,
  'food.bare': (f: { zone: string; coating: string; days: number }) =>
    `${f.zone} touches food or lips and stays bare: food may touch it as it may now, if its own glaze or finish is made for it.`,
} satisfies Sentences;
