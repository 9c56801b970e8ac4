import type { UnitSystem } from '../kernel/units';
import type { PieceRow } from '../model/rows';

/** What surrounds a new piece: the studio's units and money, and the local date of today. */
export interface PieceLocale {
  units: UnitSystem;
  currency: string;
  today: string;
}

/** A piece of which nothing is known but that it was seen today. */
export function unknownPiece(id: string, name: string, locale: PieceLocale): PieceRow {
  return {
    id,
    version: 1,
    name,
    templateId: 'freeBox',
    kind: 'ordinary',
    widthMm: null,
    depthMm: null,
    heightMm: null,
    weightG: null,
    outline: 'unknown',
    carriesG: null,
    innerWidthMm: null,
    innerDepthMm: null,
    innerHeightMm: null,
    tiers: null,
    freshDays: null,
    materialId: 'veneer',
    finishId: null,
    sheen: 'unknown',
    color: null,
    accent: null,
    era: 'unknown',
    leadTest: 'notTested',
    cordCondition: 'none',
    measures: {},
    repairMinutes: 0,
    inHouse: true,
    roles: [],
    style: '',
    season: 'any',
    standsAt: '',
    box: '',
    shelf: '',
    protection: '',
    count: 1,
    counted: true,
    sinceYear: null,
    uses: 0,
    lastUsedOn: null,
    value: null,
    currency: locale.currency,
    story: '',
    fragile: false,
    borrowedFrom: '',
    backBy: null,
    mayAlter: false,
    photoId: null,
    cutOut: null,
    seenOn: locale.today,
    inspected: [],
    sorted: false,
  };
}
