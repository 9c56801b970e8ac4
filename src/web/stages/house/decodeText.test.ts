import { describe, expect, it } from 'vitest';
import { decodeText } from './decodeText';

const TABLE = 'Name;Höhe\nGrüne Vase;12 ½ in\n';
const utf16 = (text: string, littleEndian: boolean, mark: boolean) => {
  const bytes = new Uint8Array((text.length + (mark ? 1 : 0)) * 2);
  const view = new DataView(bytes.buffer);
  const units = [...(mark ? [0xfeff] : []), ...Array.from(text, (_, n) => text.charCodeAt(n))];
  units.forEach((unit, n) => {
    view.setUint16(n * 2, unit, littleEndian);
  });
  return bytes;
};

describe('a table as a spreadsheet saves it', () => {
  it.each<[string, Uint8Array]>([
    ['UTF-8', new TextEncoder().encode(TABLE)],
    ['UTF-8 with its mark', new TextEncoder().encode(`\ufeff${TABLE}`)],
    ['UTF-16, little end first, with its mark', utf16(TABLE, true, true)],
    ['UTF-16, big end first, with its mark', utf16(TABLE, false, true)],
    ['UTF-16, little end first, without', utf16(TABLE, true, false)],
    ['UTF-16, big end first, without', utf16(TABLE, false, false)],
    ['Latin-1', Uint8Array.from(TABLE, (letter) => letter.charCodeAt(0))],
  ])('is read from %s', (_what, bytes) => {
    expect(decodeText(bytes)).toBe(TABLE);
  });
  it('is not read from a picture', () => {
    expect(decodeText(Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13, 0, 0, 1, 0, 0, 0, 1]))).toBeNull();
  });
});
