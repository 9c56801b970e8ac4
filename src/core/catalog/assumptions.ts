import { currencyExponent } from '../kernel/currencies.data';
import type { Unit } from '../kernel/explained';
import { commonPractice, fromLog, modellingChoice, type Source } from '../kernel/source';
import { BRUSH_LOSS_PERCENT, coatings } from './coatings';
import { type Figure, figure } from './figure';
import {
  laborEach,
  laborRates,
  MINI_ROLLER_RESIDUE_ML,
  OVERHEAD_PERCENT,
  preparationSupplies,
  ROLLER_LOSS_PERCENT,
  ROLLER_RESIDUE_ML,
  sessionMinutes,
  skillFactors,
  TAPE_PER_EDGE,
} from './labor.data';
import { eachNames, laborNames, sessionNames } from './laborNames.data';
import { type Learned, type LearnedFactor, nothingLearned } from './learned';
import { substrates } from './substrates';

/** Groups of assumptions in the order in which they are shown; the first word of a key says which group it is of. */
export const assumptionGroups = {
  coating: 'Paints, stains and clear coats',
  substrate: 'Materials and old finishes',
  labor: 'Minutes of work',
  session: 'Setting up and cleaning up',
  skill: 'Skill',
  prepare: 'Preparing',
  technique: 'Techniques',
  climate: 'The air',
  passage: 'The way in: the car, doors, stairs',
  readiness: 'When it is ready',
} as const;
type AssumptionKey = `${keyof typeof assumptionGroups}.${string}`;

/** One changeable assumption: its key, what it means, its table figure and what may be put in its place. */
export interface AssumptionDefinition {
  key: AssumptionKey;
  label: string;
  unit: Unit;
  figure: Figure;
  minimum: number;
  maximum: number;
}

function define(
  key: AssumptionKey,
  label: string,
  unit: Unit,
  value: Figure,
  minimum: number,
  maximum: number,
): [string, AssumptionDefinition] {
  return [key, { key, label, unit, figure: value, minimum, maximum }];
}

const quarterCure = figure(25, 25, 25, modellingChoice);

function* definitions(): Generator<[string, AssumptionDefinition]> {
  for (const row of coatings.all) {
    // What is cut spreads as far as it is wide, and follows itself at once.
    if (row.unit !== 'm') {
      const rateUnit: Unit = row.unit === 'can' ? 'm2PerCan' : 'm2PerL';
      const rateName = row.unit === 'can' ? 'spreadingRateM2PerCan' : 'spreadingRateM2PerL';
      yield define(
        `coating.${row.id}.${rateName}`,
        `${row.name}: spreading rate`,
        rateUnit,
        row.spreadingRate,
        0.1,
        60,
      );
    }
    yield define(`coating.${row.id}.recoatHours`, `${row.name}: recoat after`, 'hours', row.recoatHours, 0, 720);
    yield define(`coating.${row.id}.handleHours`, `${row.name}: handle after`, 'hours', row.handleHours, 0, 720);
    yield define(`coating.${row.id}.fullCureDays`, `${row.name}: full cure`, 'days', row.fullCureDays, 0, 120);
    if (row.unit === 'mL') {
      const { low, usual, high } = BRUSH_LOSS_PERCENT;
      yield define(
        `coating.${row.id}.lossPercent`,
        `${row.name}: loss in brush and can`,
        'percent',
        figure(low, usual, high),
        0,
        100,
      );
    }
  }
  for (const row of substrates.all) {
    yield define(`substrate.${row.id}.dryHours`, `${row.name}: dry after washing`, 'hours', row.dryHours, 0, 240);
    yield define(
      `substrate.${row.id}.absorption`,
      `${row.name}: absorption of the first coat`,
      'ratio',
      row.absorption,
      0.5,
      5,
    );
    yield define(`substrate.${row.id}.texture`, `${row.name}: texture factor`, 'ratio', row.texture, 0.5, 5);
  }
  for (const [id, rate] of Object.entries(laborRates)) {
    yield define(
      `labor.${id}MinutesPerM2`,
      `Hands-on: ${laborNames[id as keyof typeof laborRates]}`,
      'minPerM2',
      rate,
      0.1,
      500,
    );
  }
  for (const [id, each] of Object.entries(laborEach)) {
    yield define(
      `labor.${id}MinutesEach`,
      `Hands-on: ${eachNames[id as keyof typeof laborEach]}`,
      'minutes',
      each,
      0.01,
      100,
    );
  }
  for (const [id, minutes] of Object.entries(sessionMinutes)) {
    yield define(
      `session.${id}Minutes`,
      `Each session: ${sessionNames[id as keyof typeof sessionMinutes]}`,
      'minutes',
      minutes,
      0,
      240,
    );
  }
  for (const [id, factor] of Object.entries(skillFactors)) {
    yield define(`skill.${id}`, `Skill factor, ${id}`, 'ratio', factor, 0.2, 5);
  }
  yield define('labor.overheadPercent', 'Overhead on hands-on time', 'percent', OVERHEAD_PERCENT, 0, 100);
  for (const [id, { label, amount }] of Object.entries(preparationSupplies)) {
    yield define(preparationSupplyKey(id as keyof typeof preparationSupplies), label, 'ratio', amount, 0, 10_000);
  }
  yield define('prepare.tapePerEdge', 'Masking tape for each meter of edge', 'ratio', TAPE_PER_EDGE, 0, 5);
  yield define(
    'technique.wash.spreadingRateM2PerL',
    'Wash, thinned with water: spreading rate of the mix',
    'm2PerL',
    figure(12.3, 17.18, 22.1),
    0.1,
    60,
  );
  yield define(
    'technique.brushTexture.spreadingRateM2PerL',
    'Thick medium over a print: spreading rate',
    'm2PerL',
    figure(3, 4, 5),
    0.1,
    60,
  );
  yield define('technique.roller.lossPercent', 'Roller: loss in nap and can', 'percent', ROLLER_LOSS_PERCENT, 0, 100);
  yield define(
    'technique.roller.residueMl',
    'Roller: left in tray and nap, each session and color',
    'mL',
    ROLLER_RESIDUE_ML,
    0,
    1000,
  );
  yield define(
    'technique.miniRoller.residueMl',
    'Mini-roller: left in tray and nap, each session and color',
    'mL',
    MINI_ROLLER_RESIDUE_ML,
    0,
    1000,
  );
  for (const [key, label, value] of passageDefinitions) yield define(key, label, 'mm', value, 0, 10_000);
  for (const [key, label, unit, value, minimum, maximum] of climateDefinitions)
    yield define(key, label, unit, value, minimum, maximum);
  yield define(
    'readiness.handledCurePercent',
    'Share of full cure before it is handled daily',
    'percent',
    quarterCure,
    0,
    100,
  );
}

/** The assumption under which a preparation's supply stands. */
export function preparationSupplyKey(id: keyof typeof preparationSupplies): AssumptionKey {
  return `prepare.${id}PerM2`;
}

/** The air while working and drying; 21 °C and 50 % are what the tables hold for. */
const climateDefinitions: [AssumptionKey, string, Unit, Figure, number, number][] = [
  ['climate.airC', 'Air while drying, °C', 'celsius', figure(21, 21, 21, modellingChoice), -10, 45],
  ['climate.humidityPercent', 'Relative humidity while drying', 'percent', figure(50, 50, 50, modellingChoice), 1, 100],
  ['climate.surfaceC', 'Surface while coating, °C', 'celsius', figure(21, 21, 21, modellingChoice), -10, 60],
];
/**
 * What a piece has to go through on its way, mm; 0 for what there is none of. Doors and cars from memory. Stairs and
 * landings: the International Residential Code, R311.7, asks for 36 in (914 mm) of width, a landing as deep, and 80 in
 * (2032 mm) of headroom (from memory); handrails and old houses leave less.
 */
const passageDefinitions: [AssumptionKey, string, Figure][] = [
  ['passage.doorWidthMm', 'Narrowest door on the way, width', figure(660, 762, 915, commonPractice)],
  ['passage.doorHeightMm', 'Narrowest door on the way, height', figure(1900, 2000, 2100, commonPractice)],
  ['passage.stairWidthMm', 'Stairs on the way, width (0: no stairs)', figure(700, 850, 1000, commonPractice)],
  ['passage.headroomMm', 'Stairs on the way, headroom', figure(1900, 2032, 2200, commonPractice)],
  [
    'passage.landingMm',
    'Landing where the stairs turn, depth (0: they do not turn)',
    figure(700, 850, 1100, commonPractice),
  ],
  ['passage.carWidthMm', 'Hold of the car, width (0: no car)', figure(850, 1000, 1300, commonPractice)],
  ['passage.carHeightMm', 'Hold of the car, height', figure(550, 700, 1100, commonPractice)],
  ['passage.carLengthMm', 'Hold of the car, length, seats down', figure(1200, 1600, 2400, commonPractice)],
];

/** Every assumption that can be changed, by key; derived from the tables so that nothing is listed twice. */
export const assumptionDefinitions: ReadonlyMap<string, AssumptionDefinition> = new Map(definitions());

/** A changed assumption as stored: for the whole project, one recipe or one supply. */
export interface OverrideRow {
  id: string;
  version: number;
  key: string;
  scope: string;
  value: number;
  note: string;
}

/** An assumption as it is in force. */
export interface AssumedValue {
  key: string;
  value: number;
  source: Source;
  scope: string;
  /** What the log made of the table's figure; null where it has no part in it. */
  learned: LearnedFactor | null;
}

/** Looks assumptions up: label on the supply > recipe > project > your log > table. */
export class Assumptions {
  private readonly byKey = new Map<string, OverrideRow>();
  private readonly log: Learned;

  constructor(overrides: readonly OverrideRow[], log: Learned = nothingLearned) {
    for (const row of overrides) this.byKey.set(`${row.scope}|${row.key}`, row);
    this.log = log;
  }

  /**
   * @param key one of {@link assumptionDefinitions}
   * @param scopes from the most special to the most general, without `project`, which always comes last
   * @throws Error for a key that no table defines
   */
  get(key: string, scopes: readonly string[] = []): AssumedValue {
    for (const scope of [...scopes, 'project']) {
      const row = this.byKey.get(`${scope}|${key}`);
      if (row)
        return {
          key,
          value: row.value,
          source: scope.startsWith('supply:') ? { kind: 'label' } : { kind: 'you' },
          scope,
          learned: null,
        };
    }
    const definition = assumptionDefinitions.get(key);
    if (!definition) throw new Error(`no assumption "${key}"`);
    const scope = scopes[0] ?? 'project';
    const { usual, source } = definition.figure;
    const learned = this.learnedOf(key);
    return learned === null
      ? { key, value: usual, source, scope, learned: null }
      : { key, value: usual * learned.times, source: fromLog, scope, learned: learned.of };
  }

  /** Coats that the log says are given beyond each that hides by the tables; 0 where it says nothing. */
  moreCoatsPerCoat(coatingId: string): number {
    return this.log.coatsOf(coatingId)?.morePerCoat ?? 0;
  }

  /**
   * What the log makes of the table's figure of a key: minutes by their factor, a spreading rate by how much more is used.
   * @returns null where it has no part in it
   */
  private learnedOf(key: string): { times: number; of: LearnedFactor } | null {
    if (this.log === nothingLearned) return null;
    const [group, coatingId = '', name = ''] = key.split('.');
    if (group === 'session' || (group === 'labor' && key !== 'labor.overheadPercent')) {
      const of = this.log.minutesOf(key);
      return of && { times: of.factor, of };
    }
    if (group === 'coating' && name.startsWith('spreadingRate')) {
      const of = this.log.amountOf(coatingId);
      return of && { times: 1 / of.factor, of };
    }
    return null;
  }

  /** The bare number, for computing. */
  number(key: string, scopes: readonly string[] = []): number {
    if (this.byKey.size === 0 && this.log === nothingLearned) {
      const definition = assumptionDefinitions.get(key);
      if (definition) return definition.figure.usual;
    }
    return this.get(key, scopes).value;
  }
}

/** A rough shelf price of the tables as a price of the project's currency; unknown where we have no idea of prices. */
export function estimatedShelfPrice(
  estimate: { low: number; likely: number; high: number } | null,
  currency: string,
): { state: 'estimated'; low: number; likely: number; high: number } | { state: 'unknown' } {
  if (!estimate || !['USD', 'EUR', 'GBP'].includes(currency)) return { state: 'unknown' };
  const scale = 10 ** currencyExponent(currency);
  return {
    state: 'estimated',
    low: Math.round(estimate.low * scale),
    likely: Math.round(estimate.likely * scale),
    high: Math.round(estimate.high * scale),
  };
}
