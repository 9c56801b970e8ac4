import { rowEntities } from '../model/entities';

/** What is refused at a place of a payload or a file: a field's path, the value there, what would be accepted. */
interface Refused {
  field: string;
  value: unknown;
  accepted: string;
}

/** Fields whose names would not be said so by anybody; the rest is told by its own name. */
const spoken: Readonly<Record<string, string>> = {
  contingencyThousandths: 'kept back for surprises',
  percentThousandths: 'percent',
  shareThousandths: 'share of the budget',
  hoursOnHandMinutes: 'hours on hand',
  hourValue: 'an hour of yours is worth',
  atMs: 'moment',
  keeps: 'what it keeps doing',
  body: 'recipe',
  box: 'place in the sketch',
  lab: 'color',
  eye: 'what may still show',
  school: 'coats',
  star: 'filled from what we own',
  story: 'price',
  tag: 'price on the tag',
  formatVersion: 'version of the file',
  format: 'kind of file',
  asOf: 'moment of the file',
};

/** Parts of a path that only say how it is sent. */
const carriers: ReadonlySet<string> = new Set([
  'payload',
  'values',
  'row',
  'rows',
  'id',
  'ids',
  'version',
  '(all)',
  '',
]);

const uuid = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const nouns = new Map<string, string>(rowEntities.map(({ table, noun }) => [table, noun]));

/** `widthMm` as "width", `colorCardIds` as "color cards", `labelCoats` as "label coats". */
function nameOf(part: string): string {
  const known = spoken[part];
  if (known !== undefined) return known;
  const bare = part.replace(/(Mm|Ms|Minor|Minutes|Thousandths|Millionths|Id)$/, '').replace(/Ids$/, 's');
  return bare.replace(/([a-z0-9])([A-Z])/g, '$1 $2').toLowerCase();
}

/**
 * A place in a payload or a file as somebody would say it: `slots.3.name` is "slot 4: name".
 * @returns an empty string for a place that has no name of its own, as an id
 */
export function fieldWords(path: string): string {
  const words: string[] = [];
  let list: string | null = null;
  for (const part of path.split('.')) {
    if (/^\d+$/.test(part)) {
      // A row of a list, counted from one as people do.
      const noun = list === null ? 'entry' : (nouns.get(list) ?? nameOf(list).replace(/s$/, ''));
      if (list !== null) words.pop();
      words.push(`${noun} ${Number(part) + 1}`);
      list = null;
    } else {
      list = part;
      if (!carriers.has(part) && !uuid.test(part)) words.push(nameOf(part));
    }
  }
  return words.join(': ');
}

/** A value as it was given, as far as it can be read; an id and what has many parts say nothing to anybody. */
export function valueWords(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'object' || (typeof value === 'string' && uuid.test(value))) return '';
  return String(value);
}

/** What was refused, in a sentence without paths and ids: the field, what stands there, what would be accepted. */
export function problemWords({ field, value, accepted }: Refused): string {
  const place = fieldWords(field);
  const given = valueWords(value);
  const said = given === '' ? '' : given === 'nothing' ? given : `“${given}”`;
  const head = place === '' ? '' : said === '' ? place : `${place}: ${said}`;
  return head === ''
    ? `Accepted: ${accepted}`
    : `${head.charAt(0).toUpperCase()}${head.slice(1)}; accepted: ${accepted}`;
}
