/** Bytes from which a file's writing is guessed. */
const LOOKED_AT = 2000;

/** In which half of two bytes most are zero: the mark of a text of two bytes a character. */
function zeroHalf(bytes: Uint8Array): 'even' | 'odd' | null {
  const zeros = [0, 0];
  const most = Math.min(bytes.length, LOOKED_AT) & ~1;
  for (let at = 0; at < most; at += 1) if (bytes[at] === 0) zeros[at % 2] = (zeros[at % 2] ?? 0) + 1;
  const [even = 0, odd = 0] = zeros;
  if (odd > most / 5 && even < odd / 4) return 'odd';
  return even > most / 5 && odd < even / 4 ? 'even' : null;
}

/**
 * The text of a file, however its spreadsheet wrote it: UTF-8, UTF-16 in either order (with its mark or by its zeros),
 * else Latin-1 as the West's spreadsheets mean it (Windows-1252). Null for what is no text at all.
 */
export function decodeText(bytes: Uint8Array): string | null {
  const [first, second] = bytes;
  const half = zeroHalf(bytes);
  const decode = (label: string, fatal = false) => new TextDecoder(label, { fatal }).decode(bytes);
  let text: string;
  if ((first === 0xff && second === 0xfe) || half === 'odd') text = decode('utf-16le');
  else if ((first === 0xfe && second === 0xff) || half === 'even') text = decode('utf-16be');
  else
    try {
      text = decode('utf-8', true);
    } catch {
      text = decode('windows-1252');
    }
  return text.includes('\u0000') ? null : text;
}
