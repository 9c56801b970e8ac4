import { commonPractice } from '../../kernel/source';
import type { Verdict } from '../../state/joint';
import { figure } from '../figure';
import { PEELS } from '../joints/rule';
import type { PrimerColumn, PrimerDemand, Substrate } from '../substrate';

/** It holds on the prepared surface itself. */
export const bare = (reason: string): PrimerDemand => ({ verdict: 'scuff', primers: [], reason, fails: PEELS });
/** It holds at once on a clean surface. */
export const direct = (reason: string): PrimerDemand => ({ verdict: 'ok', primers: [], reason, fails: PEELS });
/** It needs one of these in between. */
export const needs = (primers: readonly string[], reason: string, fails = PEELS): PrimerDemand => ({
  verdict: 'barrierPrimer',
  primers,
  reason,
  fails,
});
/** It does not hold, and a primer does not help by itself. */
export const never = (reason: string, fails = PEELS): PrimerDemand => ({
  verdict: 'never',
  primers: [],
  reason,
  fails,
});
/** No rule of the trade tells. */
export const unknown = (reason: string): PrimerDemand => ({
  verdict: 'notKnown' satisfies Verdict,
  primers: [],
  reason,
  fails: PEELS,
});

type Three = [low: number, usual: number, high: number];

/** A row with what is usual filled in; texture and absorption default to one. */
export type SubstrateSheetRow = Pick<
  Substrate,
  'id' | 'name' | 'prepare' | 'usualColor' | 'words' | 'remark' | 'risk'
> &
  Partial<Omit<Substrate, 'absorption' | 'texture' | 'dryHours' | 'primer'>> & {
    absorption?: Three;
    texture?: Three;
    dryHours?: Three;
    primer: PrimerColumn;
  };

/** Completes one row of the substrates table; every figure is common practice, written from memory. */
export function substrate(row: SubstrateSheetRow): Substrate {
  const { absorption = [1, 1, 1], texture = [1, 1, 1], dryHours = [0.5, 1, 2], ...rest } = row;
  return {
    layer: 'material',
    film: 'none',
    porous: false,
    hard: false,
    sheen: null,
    plainly: '',
    bleed: 'none',
    productId: null,
    scuffs: true,
    source: commonPractice,
    absorption: figure(...absorption),
    texture: figure(...texture),
    dryHours: figure(...dryHours),
    ...rest,
  };
}

const SMOOTH_ENOUGH = 'a clean, closed surface holds a film';

/** What all hard, closed faces have in common: an adhesion primer under everything, nothing to soak into. */
export function closedFace(what: string, more: Partial<PrimerColumn> = {}): PrimerColumn {
  const adhesion = needs(['bondingPrimer', 'shellacPrimer'], `nothing grips ${what} without an adhesion primer`);
  return {
    waterbornePaint: adhesion,
    oilPaint: adhesion,
    solventPaint: adhesion,
    clear: unknown(`no rule tells how a clear coat alone holds on ${what}`),
    stain: never(`there is nothing in ${what} for a stain to soak into`, 'wipe off'),
    wax: never(`wax has nothing to soak into on ${what}`, 'wipe off'),
    decoupage: bare(`the medium holds on ${what} once it is scuffed and clean`),
    film: direct(SMOOTH_ENOUGH),
    ...more,
  };
}

/** What all open, thirsty surfaces have in common: they drink the first coat and hold it. */
export function openGrain(what: string, more: Partial<PrimerColumn> = {}): PrimerColumn {
  return {
    waterbornePaint: bare(`${what} drinks the first coat and holds it`),
    oilPaint: bare(`${what} drinks the first coat and holds it`),
    solventPaint: bare(`${what} takes a spray once it is clean and dry`),
    clear: bare(`a clear coat soaks into ${what}`),
    stain: bare(`a stain soaks into ${what}`),
    wax: bare(`wax soaks into ${what}`),
    decoupage: bare(`one coat of medium seals ${what} first`),
    film: never(`${what} gives a film too little to hold on`),
    ...more,
  };
}
