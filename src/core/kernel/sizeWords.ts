import type { InputFinding } from './inputSentences';
import { parseLength } from './parseLength';
import { fail, type Result, succeed } from './result';
import type { UnitSystem } from './units';

/** A size as a range in mm; an open end is null. */
export interface SizeInWords {
  minimumMm: number | null;
  maximumMm: number | null;
}

const inches = (n: number) => n * 25.4;

/**
 * Sizes as people point at them, in mm. Hand, knee, waist and eye of a grown-up standing or sitting: common practice,
 * from memory; ranges are wide because people are.
 */
const bodySizes: readonly { words: RegExp; from: number; to: number }[] = [
  { words: /^(finger|fingertip)(s)?( (high|wide|deep|thick))?$/, from: inches(0.5), to: inches(0.9) },
  { words: /^palm( (high|wide|deep))?$/, from: inches(3), to: inches(4) },
  { words: /^(a )?hand('?s)?( (high|wide|deep|long))?$/, from: inches(6.5), to: inches(8) },
  { words: /^(a )?forearm( (high|long))?$/, from: inches(16), to: inches(19) },
  { words: /^knee( (high|height|deep))?$/, from: inches(18), to: inches(22) },
  { words: /^(seat|chair)( (high|height))?$/, from: inches(17), to: inches(19) },
  { words: /^(table)( (high|height))$/, from: inches(28), to: inches(30) },
  { words: /^(hip|waist|counter)( (high|height))?$/, from: inches(34), to: inches(42) },
  { words: /^(eye|eye level)( (high|height))?$/, from: inches(56), to: inches(62) },
];

/** A thing with a known size that a phrase may be compared with ("taller than the lamp"). */
export interface KnownThing {
  name: string;
  sizeMm: number;
}

/**
 * Reads a wished size: a length (a largest size), a range (`24 to 27`, `24-27 in`), `at least 24`, `at most 27`,
 * `about 20`, a body word (`hand high`, `knee high`), or a comparison with a named thing (`taller than the lamp`,
 * `lower than the mirror`). Empty text leaves both ends open.
 * @param things what comparisons may name
 * @returns the range in mm, or a finding with the text and what is accepted
 */
export function parseSizeRange(
  text: string,
  system: UnitSystem,
  things: readonly KnownThing[] = [],
): Result<SizeInWords> {
  const said = text.trim().toLowerCase().replace(/[’]/g, "'");
  if (said === '' || said === 'any') return succeed({ minimumMm: null, maximumMm: null });
  const length = (part: string): number | null => {
    const read = parseLength(part, system);
    return read.ok ? read.value : null;
  };
  const body = bodySizes.find(({ words }) => words.test(said));
  if (body) return succeed({ minimumMm: body.from, maximumMm: body.to });

  const than =
    /^(?:(at least|at most) )?(taller|higher|wider|deeper|larger|bigger|lower|shorter|smaller|narrower|shallower) than (?:the |our |my )?(.+)$/.exec(
      said,
    );
  if (than) {
    const wanted = than[3] ?? '';
    const larger = /^(taller|higher|wider|deeper|larger|bigger)$/.test(than[2] ?? '');
    const named = [...things]
      .sort((a, b) => a.name.length - b.name.length)
      .find((thing) => thing.name.toLowerCase().includes(wanted));
    const sizeMm = named?.sizeMm ?? length(wanted);
    if (sizeMm === null) return fail(unreadable('size.unknownThing', text, system, things));
    return succeed(larger ? { minimumMm: sizeMm, maximumMm: null } : { minimumMm: null, maximumMm: sizeMm });
  }
  const least = /^(?:at least|min(?:imum)?|from|over|≥|>=?)\s*(.+)$/.exec(said);
  if (least) {
    const value = length(least[1] ?? '');
    return value === null
      ? fail(unreadable('size.unreadable', text, system, things))
      : succeed({ minimumMm: value, maximumMm: null });
  }
  const most = /^(?:at most|max(?:imum)?|up to|under|to|≤|<=?)\s*(.+)$/.exec(said);
  if (most) {
    const value = length(most[1] ?? '');
    return value === null
      ? fail(unreadable('size.unreadable', text, system, things))
      : succeed({ minimumMm: null, maximumMm: value });
  }
  const about = /^(?:about|around|ca\.?|~)\s*(.+)$/.exec(said);
  if (about) {
    const value = length(about[1] ?? '');
    return value === null
      ? fail(unreadable('size.unreadable', text, system, things))
      : succeed({ minimumMm: value * 0.9, maximumMm: value * 1.1 });
  }
  const range = /^(.+?)\s*(?:\bto\b|–|—|\.\.|(?<=[\d"'a-z½¼¾⅛⅜⅝⅞])\s*-\s*)\s*(.+)$/.exec(said);
  if (range) {
    const unit = /(mm|cm|m|in|inch|inches|ft|feet|"|')$/.exec((range[2] ?? '').trim())?.[1];
    const first = range[1] ?? '';
    const from = length(unit && /[\d½¼¾⅛⅜⅝⅞]$/.test(first.trim()) ? `${first} ${unit}` : first);
    const to = length(range[2] ?? '');
    if (from !== null && to !== null)
      return from <= to
        ? succeed({ minimumMm: from, maximumMm: to })
        : fail(unreadable('size.backwards', text, system, things));
  }
  const value = length(said);
  return value === null
    ? fail(unreadable('size.unreadable', text, system, things))
    : succeed({ minimumMm: null, maximumMm: value });
}

function unreadable(
  code: Extract<InputFinding, { figures: { things: string } }>['code'],
  text: string,
  system: UnitSystem,
  things: readonly KnownThing[],
): InputFinding {
  return {
    code,
    severity: 'refuse',
    where: { kind: 'field', id: 'size' },
    figures: {
      text,
      example: system === 'us' ? '24 to 27, at most 18 1/2, knee high' : '60 to 70, at most 45 cm, knee high',
      things: things.map((thing) => thing.name).join(', '),
    },
  };
}
