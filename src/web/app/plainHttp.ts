/**
 * What a page without TLS has to do without, and how. Browsers give ids, locks, the clipboard and a service worker to
 * secure pages only; numbers by chance they give to all.
 */

/** An id by the rules of RFC 9562, version 4, out of sixteen bytes by chance. */
export function idOf(bytes: Uint8Array): `${string}-${string}-${string}-${string}-${string}` {
  const marked = bytes.map((byte, n) => (n === 6 ? (byte & 0x0f) | 0x40 : n === 8 ? (byte & 0x3f) | 0x80 : byte));
  const hex = [...marked].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20, 32)}`;
}

if (typeof crypto.randomUUID !== 'function')
  Object.defineProperty(crypto, 'randomUUID', { value: () => idOf(crypto.getRandomValues(new Uint8Array(16))) });

/**
 * Runs something while no other tab of this device runs the same; where the browser has no locks, at once: what comes twice
 * then is done once all the same, by its key.
 */
export function alone<T>(name: string, work: () => Promise<T>): Promise<T> {
  return navigator.locks ? navigator.locks.request(name, work) : work();
}

/** Puts text on the clipboard; without TLS by way of a field that is copied from. @returns whether it is there */
export async function copied(text: string): Promise<boolean> {
  try {
    if (navigator.clipboard) {
      await navigator.clipboard.writeText(text);
      return true;
    }
  } catch {
    // The browser was not asked by a press, or the page may not: the other way may still go.
  }
  const field = document.createElement('textarea');
  field.value = text;
  field.style.position = 'fixed';
  document.body.append(field);
  field.select();
  const isDone = document.execCommand('copy');
  field.remove();
  return isDone;
}
