import type { FileUpgrade } from './index';
import { derivedId, eachRow, type Loose, rowsIn, withDefaults } from './loose';

const SOURCE = 2;
const nameOf = (row: Loose) => (typeof row.source === 'string' ? row.source.trim() : '');

/**
 * Version 6 named the place of a find or an offer by a text. Version 7 has places as rows; of the ledger it says more, and
 * of a find what a decision in the shop needs.
 */
export const hunt: FileUpgrade = {
  from: 6,
  upgrade: (file) => {
    const sources = new Map<string, Loose>();
    for (const row of [...rowsIn(file.sightings), ...rowsIn(file.offers)]) {
      const name = nameOf(row);
      if (name === '' || sources.has(name)) continue;
      sources.set(name, {
        id: derivedId(row.id, SOURCE),
        version: 1,
        name,
        kind: 'shop',
        tax: null,
        returns: { state: 'unknown' },
        minutesOneWay: null,
        distanceM: null,
        hours: [],
        timeZone: null,
        patterns: [],
        note: '',
      });
    }
    const atSource = (list: unknown) =>
      eachRow(list, ({ source: _source, ...row }) => ({
        sourceId: sources.get(nameOf({ source: _source }))?.id ?? null,
        ...row,
      }));
    return {
      ...file,
      sightings: withDefaults(atSource(file.sightings), {
        tagColor: '',
        plenty: null,
        thinkUntil: null,
        because: '',
        seenOn: null,
        photoId: null,
        tagPhotoId: null,
        standIn: '',
      }),
      offers: withDefaults(atSource(file.offers), { dream: false }),
      ledger: withDefaults(file.ledger, {
        sourceId: null,
        receiptId: null,
        estimated: false,
        pieces: null,
        refundsId: null,
        foreign: null,
      }),
      sources: [...sources.values()],
      pieces: withDefaults(file.pieces, { inspected: [] }),
      receipts: [],
      trips: [],
      ads: [],
    };
  },
};
