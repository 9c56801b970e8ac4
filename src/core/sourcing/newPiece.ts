import type { UnitSystem } from '../kernel/units';
import { overallSize } from '../plan/fitFindings';
import type { PieceRow, Season } from '../plan/houseRows';
import type { FindRow } from '../plan/rows';
import { sharedFields } from '../plan/stashPieces';
import { type PieceKind, pieceKinds } from './pieceKinds.data';
import { readQuickLine } from './quickLine';

const seasonWords: readonly [Season, RegExp][] = [
  ['spring', /\b(spring|easter)\b/],
  ['summer', /\bsummer\b/],
  ['autumn', /\b(autumn|fall|harvest)\b/],
  ['winter', /\b(winter|christmas|xmas|holiday)\b/],
];

/** The kind of thing that some words name; the longest word that is said wins. Null when they name none. */
export function pieceKindOf(text: string): PieceKind | null {
  const said = ` ${text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ')} `;
  let best: { kind: PieceKind; length: number } | null = null;
  for (const kind of pieceKinds)
    for (const word of kind.words)
      for (const form of [word, `${word}s`])
        if (said.includes(` ${form} `) && form.length > (best?.length ?? 0)) best = { kind, length: form.length };
  return best?.kind ?? null;
}

/** A length to the hundredth of a millimeter, as fields keep it. */
const rounded = (mm: number | undefined) => (mm === undefined ? null : Math.round(mm * 100) / 100);

/** What surrounds a new piece: the studio's units and money, and the local date of today. */
export interface PieceRim {
  units: UnitSystem;
  currency: string;
  today: string;
}

/** A piece of which nothing is known but that it was seen today. */
export function unknownPiece(id: string, name: string, rim: PieceRim): PieceRow {
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
    materialId: 'veneer',
    finishId: null,
    sheen: 'unknown',
    color: null,
    accent: null,
    era: 'unknown',
    leadTest: 'notTested',
    cordCondition: 'none',
    roles: [],
    style: '',
    season: 'any',
    standsAt: '',
    box: '',
    shelf: '',
    protection: '',
    count: 1,
    sinceYear: null,
    uses: 0,
    lastUsedOn: null,
    value: null,
    currency: rim.currency,
    story: '',
    fragile: false,
    borrowedFrom: '',
    backBy: null,
    mayAlter: false,
    photoId: null,
    seenOn: rim.today,
    sorted: false,
  };
}

/**
 * A piece from a quick line as one says it: "tall blue vase, 12 in, mantel", "3 brass candlesticks, box 4". What the
 * words name proposes its roles; a size, a material, a finish and a price are read as in a shop; "box 4" and "shelf 2"
 * say where it is stored, and what is left over where it stands. Everything is open to change.
 */
export function newPiece(id: string, line: string, rim: PieceRim): PieceRow {
  const piece = unknownPiece(id, '', rim);
  const rest: string[] = [];
  for (const part of line.split(/,(?!\d{1,3}\b)|;/)) {
    const text = part.trim();
    if (text === '') continue;
    const place = /^(box|shelf)\s+(.{1,50})$/i.exec(text);
    const lent = /^(?:borrowed|lent)(?: from)?\s+(.{1,100})$/i.exec(text);
    const since = /^since (\d{4})$/i.exec(text);
    if (place) piece[place[1]?.toLowerCase() === 'box' ? 'box' : 'shelf'] = place[2] as string;
    else if (lent) piece.borrowedFrom = lent[1] as string;
    else if (since) piece.sinceYear = Number(since[1]);
    else rest.push(text);
  }
  const [first = '', ...others] = rest;
  const counted = /^(\d{1,3})\s*(?:x|×)?\s+(?=\D)/.exec(first);
  if (counted) piece.count = Math.max(1, Number(counted[1]));
  const name = counted ? first.slice(counted[0].length) : first;
  const read = readQuickLine([name, ...others].join(', '), rim.currency, rim.units);
  piece.name = read.name;
  piece.widthMm = rounded(read.measures.widthMm);
  piece.depthMm = rounded(read.measures.depthMm);
  piece.heightMm = rounded(read.measures.heightMm);
  if (read.materialId !== null) piece.materialId = read.materialId;
  piece.finishId = read.finishId;
  if (read.finishId === 'glossyVarnish') piece.sheen = 'gloss';
  if (read.tag?.state === 'stated') piece.value = read.tag.low;
  piece.standsAt = read.note.slice(0, 120);
  const words = line.toLowerCase();
  piece.season = seasonWords.find(([, pattern]) => pattern.test(words))?.[0] ?? 'any';
  const kind = pieceKindOf(piece.name) ?? pieceKindOf(line);
  piece.templateId = read.templateId ?? kind?.templateId ?? 'freeBox';
  if (kind) {
    piece.roles = [...kind.roles];
    piece.kind = kind.care;
    piece.fragile = kind.fragile;
    if (kind.care === 'lamp') piece.cordCondition = 'unknown';
  }
  piece.sorted = piece.heightMm !== null || piece.widthMm !== null;
  return piece;
}

/** A find that stays, as a piece of the house: what is known of it goes along, its worth is what its tag says. */
export function pieceFromFind(id: string, find: FindRow, rim: Omit<PieceRim, 'today'>): PieceRow {
  const size = overallSize(find.templateId, find.measures);
  const kind = pieceKindOf(find.name);
  const { tag } = find.story;
  return {
    ...unknownPiece(id, find.name, { ...rim, today: '' }),
    ...Object.fromEntries(sharedFields.map((field) => [field, find[field]])),
    widthMm: size.width,
    depthMm: size.depth,
    heightMm: size.height,
    count: Math.max(1, find.story.usable * find.story.quantity),
    value: tag.state === 'stated' ? tag.low : null,
    roles: kind ? [...kind.roles] : [],
    fragile: kind?.fragile ?? false,
    story: find.source === '' ? '' : `from ${find.source}`,
    seenOn: null,
    sorted: true,
  };
}
