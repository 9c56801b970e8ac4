/** What a part is made from: single values, or lists that are compared item by item, whose items may be lists too. */
export type MemoInputs = Readonly<Record<string, unknown>>;

interface Part {
  inputs: MemoInputs;
  value: unknown;
}

/** More parts of one kind than any project has: beyond it the oldest projects' leftovers are dropped. */
const MOST_PARTS = 20_000;

/**
 * Remembers parts of a computation, each with the inputs that it was made from. A part is made anew only when one of
 * its inputs is another object; otherwise the very same part comes back, so whatever was made from it holds too.
 * The function that makes a part is given its inputs and nothing else: what is not among them it cannot have used.
 */
export class Memo {
  private readonly kinds = new Map<(inputs: never) => unknown, Map<string, Part>>();

  /**
   * The part of a kind under a key.
   * @param make a function of its argument alone; declared once, not for each call, since it names the kind of part
   * @param key which part of the kind it is, for example a row's id
   * @param keep given the part that stood here before and the new one, puts what is equal in the new one back to the
   * very objects of the old
   */
  part<I extends MemoInputs, T>(make: (inputs: I) => T, key: string, inputs: I, keep?: (before: T, now: T) => T): T {
    let parts = this.kinds.get(make);
    if (!parts) {
      parts = new Map();
      this.kinds.set(make, parts);
    }
    const known = parts.get(key);
    // The kind's own function made what stands under it.
    if (known && areSame(known.inputs, inputs)) return known.value as T;
    const made = make(inputs);
    const value = known && keep ? keep(known.value as T, made) : made;
    if (parts.size >= MOST_PARTS && !known) parts.clear();
    parts.set(key, { inputs, value });
    return value;
  }
}

function areSame(a: MemoInputs, b: MemoInputs): boolean {
  for (const name in b) if (!isSame(a[name], b[name])) return false;
  return true;
}

function isSame(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (!Array.isArray(one) || !Array.isArray(other) || one.length !== other.length) return false;
  for (let n = 0; n < one.length; n += 1) if (!isSame(one[n], other[n])) return false;
  return true;
}
