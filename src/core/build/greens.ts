import { consumables } from '../catalog/consumables';
import { plantIds } from '../catalog/consumables/plants.data';
import type { MadeTrait } from '../state/madeTrait';
import type { BuildRemark, BuildWork, ChosenMaterial } from './build';
import { work } from './parts';

/** What wreaths and garlands are made of, faux first: it stays. */
export const anyStems: readonly string[] = ['stems', ...plantIds];

/** What replaces greens when their days are over. */
const AFTERWARDS = 'faux stems, or fresh ones once more';

/**
 * What is to be said of the stems chosen: how long they last, with or without water.
 * @returns no remark for faux stems, and for what keeps a year or longer
 */
export function lasting({ kind }: ChosenMaterial, inWater: boolean): BuildRemark[] {
  const days = inWater ? kind.plant?.waterDays : kind.plant?.dryDays;
  if (!days || days.usual >= 365) return [];
  return [{ code: 'build.freshDays', days: Math.floor(days.usual), instead: AFTERWARDS }];
}

/** What cautions should know of them: they burn, and some harm who chews them. */
export function traitsOf({ kind }: ChosenMaterial): MadeTrait[] {
  const harm = consumables.find(kind.id)?.plant?.harm ?? null;
  return ['burns', ...(harm === null ? [] : [harm])];
}

/** Tying so many stems onto what carries them. */
export const tying = (count: number, title: string, hint: string): BuildWork =>
  work({ id: 'tie', kind: 'arrange', title, hint, rate: 'stem', units: count, tools: ['wireCutter', 'pruner'] });
