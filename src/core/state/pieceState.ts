/** Kinds of things that cautions look at. */
export const careKinds = [
  'ordinary',
  'lamp',
  'dropSideCot',
  'oldCot',
  'childSeatOrHelmet',
  'spaceHeater',
  'candle',
  'toyOrCot',
  'tableware',
] as const;
export type CareKind = (typeof careKinds)[number];

/** How old a piece is, as far as lead paint goes. */
export const eras = ['unknown', 'old', 'recent'] as const;
export type Era = (typeof eras)[number];

/** What a lead test said. */
export const leadTests = ['notTested', 'negative', 'positive'] as const;
export type LeadTest = (typeof leadTests)[number];

/** How the cord of something electric is. */
export const cordConditions = ['unknown', 'sound', 'damaged', 'none'] as const;
export type CordCondition = (typeof cordConditions)[number];

/** What a check of an inspection found. */
export const checkVerdicts = ['fine', 'flaw', 'breaker'] as const;
export type CheckVerdict = (typeof checkVerdicts)[number];

/** What was found of one check of an inspection, by the check's id. */
export interface Looked {
  check: string;
  verdict: CheckVerdict;
}
