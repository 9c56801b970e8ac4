/**
 * Whether two plain values (of JSON) say the same, whatever the order of their fields.
 * @returns false for values that JSON does not know, other than by identity
 */
export function sameValue(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (one === null || other === null || typeof one !== 'object' || typeof other !== 'object') return false;
  if (Array.isArray(one) !== Array.isArray(other)) return false;
  const keys = Object.keys(one);
  if (keys.length !== Object.keys(other).length) return false;
  return keys.every(
    (key) => key in other && sameValue((one as Record<string, unknown>)[key], (other as Record<string, unknown>)[key]),
  );
}
