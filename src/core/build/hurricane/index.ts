import { MM_PER_INCH } from '../../kernel/units';
import type { Build, BuildRemark, BuildValues } from '../build';
import { choice, length, work } from '../parts';

/** Room that a flame wants in its glass (common practice, from memory): beside the candle, and above it. */
export const BESIDE_MM = 25;
export const ABOVE_MM = 50;
/** What fills the foot may take a third of the glass. */
const MOST_FILLER = 1 / 3;
/** Sand and small pebbles, as they lie (from memory). */
const GRAMS_PER_ML = 1.6;

/** A pillar candle in a glass, standing in sand or pebbles. */
export const hurricaneCandle: Build = {
  id: 'hurricane',
  name: 'Hurricane with a pillar candle',
  words: ['hurricane', 'candle glass', 'candle holder', 'lantern candle'],
  family: 'greenery',
  remark: 'an inch of air around the candle, two above it; only sand, pebbles or salt around a flame',
  difficulty: 1,
  skillAsked: 'none',
  templateId: 'hurricane',
  parameters: [
    length('glassMm', 'Glass, inside across', 6 * MM_PER_INCH, 40, 400),
    length('heightMm', 'Glass, high', 10 * MM_PER_INCH, 60, 700),
    length('candleMm', 'Candle, across', 3 * MM_PER_INCH, 15, 200),
    length('candleHighMm', 'Candle, high', 6 * MM_PER_INCH, 15, 500),
    length('fillerMm', 'Sand or pebbles, deep', 1.5 * MM_PER_INCH, 0, 200),
    choice('light', 'Light', 0, [
      { value: 0, label: 'flameless' },
      { value: 1, label: 'a flame' },
    ]),
    choice('glass', 'Glass', 1, [
      { value: 0, label: 'own glass' },
      { value: 1, label: 'a new glass' },
    ]),
  ],
  materials: [],
  measures: ({ glassMm = 0, heightMm = 0 }) => ({ widthMm: glassMm + 6, heightMm }),
  plan: ({ values }) => {
    const { glassMm = 0, fillerMm = 0, light = 0, glass = 1 } = values;
    return {
      parts: [],
      needs: [
        { material: null, kindId: light === 1 ? 'pillarCandle' : 'ledCandle', amount: 1 },
        ...(glass === 1 ? [{ material: null, kindId: 'hurricane', amount: 1 }] : []),
        ...(fillerMm > 0
          ? [
              {
                material: null,
                kindId: 'pebbles',
                amount: ((Math.PI * glassMm * glassMm) / 4) * fillerMm * 1e-3 * GRAMS_PER_ML,
              },
            ]
          : []),
      ],
      works: [
        work({
          id: 'set',
          kind: 'arrange',
          title: 'Wash the glass, fill its foot, stand the candle upright in the middle',
          rate: 'setOut',
          units: 1,
        }),
      ],
      remarks: light === 1 ? flameRemarks(values) : [],
      traits: [light === 1 ? 'flame' : 'buttonCells'],
    };
  },
};

/** What is too near a flame; empty where it has its air. */
export function flameRemarks({
  glassMm = 0,
  heightMm = 0,
  candleMm = 0,
  candleHighMm = 0,
  fillerMm = 0,
}: BuildValues): BuildRemark[] {
  const least = (thing: string, hasMm: number, leastMm: number): BuildRemark[] =>
    hasMm + 1e-6 < leastMm ? [{ code: 'build.flameTooNear', thing, hasMm: Math.max(0, hasMm), leastMm }] : [];
  return [
    ...least('between the candle and its glass on each side', (glassMm - candleMm) / 2, BESIDE_MM),
    ...least('of glass above the candle', heightMm - fillerMm - candleHighMm, ABOVE_MM),
    ...(fillerMm > heightMm * MOST_FILLER + 1e-6
      ? [{ code: 'build.tooSmall' as const, thing: 'what fills the glass takes more than a third of it' }]
      : []),
  ];
}
