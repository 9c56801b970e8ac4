import { arrivals } from './arrivals';
import { balance } from './balance';
import { bench } from './bench';
import { briefAndSketch } from './briefAndSketch';
import { briefFelt } from './briefFelt';
import { closing } from './closing';
import { cutOuts } from './cutOuts';
import { cutting } from './cutting';
import { house } from './house';
import { hunt } from './hunt';
import { looks } from './looks';
import { piecesAndSightings } from './piecesAndSightings';
import { plans } from './plans';
import { recipes } from './recipes';
import { supplyPlaces } from './supplyPlaces';
import { toldAtTheBench } from './toldAtTheBench';

/** A change of the project file's shape: from version `from` to the next. Input and output are parsed JSON. */
export interface FileUpgrade {
  from: number;
  upgrade(file: Record<string, unknown>): Record<string, unknown>;
}

/** All upgrades in order; each runs in a test. */
export const fileUpgrades: readonly FileUpgrade[] = [
  briefAndSketch,
  house,
  recipes,
  piecesAndSightings,
  briefFelt,
  hunt,
  arrivals,
  cutting,
  balance,
  plans,
  supplyPlaces,
  bench,
  toldAtTheBench,
  looks,
  cutOuts,
  closing,
];

/** Brings an older file to the present shape, step by step; a file without a known version is given back as it is. */
export function upgradeFile(file: Record<string, unknown>): Record<string, unknown> {
  let current = file;
  for (const { from, upgrade } of fileUpgrades)
    if (current.formatVersion === from) current = { ...upgrade(current), formatVersion: from + 1 };
  return current;
}
