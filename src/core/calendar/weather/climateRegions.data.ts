/** What a month is usually like in the open. */
export interface MonthNormal {
  /** Mean of day and night, °C. */
  meanC: number;
  /** From the night's low to the afternoon's high, °C. */
  swingC: number;
  humidityPercent: number;
  /** Share of days on which it rains, 0 to 1. */
  rainyShare: number;
  windMPerS: number;
}

/** A kind of climate with its twelve months, January first, as they are north of the equator. */
export interface ClimateRegion {
  name: string;
  /** Degrees from the equator, for the length of the day. */
  latitude: number;
  months: readonly MonthNormal[];
}

/** Twelve values of each figure, January first. */
function region(
  name: string,
  latitude: number,
  meanC: readonly number[],
  swingC: readonly number[],
  humidityPercent: readonly number[],
  rainyPercent: readonly number[],
  windMPerS: number,
): ClimateRegion {
  const months = meanC.map((mean, month) => ({
    meanC: mean,
    swingC: swingC[month] ?? 8,
    humidityPercent: humidityPercent[month] ?? 70,
    rainyShare: (rainyPercent[month] ?? 30) / 100,
    windMPerS,
  }));
  return { name, latitude, months };
}

/**
 * Kinds of climate, as rough normals of their kind and of no single place: from memory, for a weather that stands in while
 * nobody typed or imported a forecast.
 */
export const climateRegions = {
  mildCoast: region(
    'Mild and damp, near an ocean',
    51,
    [5, 5, 7, 9, 13, 16, 18, 18, 15, 11, 8, 6],
    [5, 6, 7, 9, 9, 9, 9, 9, 8, 7, 5, 5],
    [86, 83, 78, 74, 73, 73, 73, 75, 79, 83, 86, 87],
    [50, 43, 42, 39, 37, 35, 33, 35, 36, 44, 49, 51],
    4.2,
  ),
  inland: region(
    'Cold winters, warm summers',
    44,
    [-4, -2, 4, 10, 16, 21, 24, 23, 18, 12, 5, -1],
    [8, 9, 10, 11, 11, 11, 11, 11, 11, 11, 8, 7],
    [74, 71, 66, 62, 64, 66, 67, 70, 71, 70, 74, 76],
    [32, 30, 34, 36, 38, 35, 31, 30, 28, 28, 31, 33],
    3.6,
  ),
  drySummer: region(
    'Wet winters, dry summers',
    38,
    [9, 10, 12, 15, 18, 22, 25, 25, 22, 18, 13, 10],
    [8, 8, 9, 10, 11, 12, 12, 12, 11, 10, 8, 8],
    [76, 73, 69, 66, 63, 59, 55, 57, 63, 69, 75, 78],
    [31, 29, 26, 21, 15, 7, 3, 4, 11, 20, 28, 32],
    3.2,
  ),
  warmDamp: region(
    'Hot, damp summers, mild winters',
    32,
    [9, 11, 15, 19, 23, 27, 29, 28, 25, 20, 14, 10],
    [11, 11, 12, 12, 11, 10, 10, 10, 10, 12, 12, 11],
    [70, 68, 67, 68, 72, 74, 76, 77, 75, 71, 71, 71],
    [32, 31, 31, 27, 30, 37, 40, 38, 29, 22, 26, 30],
    2.8,
  ),
  dry: region(
    'Dry, with hot days and cool nights',
    34,
    [11, 13, 17, 21, 26, 31, 33, 32, 29, 22, 15, 10],
    [14, 14, 15, 16, 16, 16, 14, 13, 14, 15, 15, 13],
    [46, 41, 34, 27, 23, 21, 30, 34, 31, 32, 38, 46],
    [11, 11, 10, 5, 3, 2, 12, 14, 9, 7, 8, 11],
    2.9,
  ),
  north: region(
    'Long, cold winters, short summers',
    61,
    [-9, -9, -4, 3, 10, 15, 17, 15, 10, 4, -2, -7],
    [6, 7, 8, 9, 10, 10, 10, 9, 8, 6, 5, 6],
    [86, 83, 76, 68, 62, 64, 69, 75, 80, 84, 88, 88],
    [33, 28, 28, 26, 28, 33, 37, 38, 37, 37, 39, 36],
    3.4,
  ),
} satisfies Record<string, ClimateRegion>;

export type RegionKind = keyof typeof climateRegions;
