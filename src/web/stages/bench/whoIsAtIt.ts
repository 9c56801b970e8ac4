/** Under this key a device keeps the name of who works with it. */
const KEPT_UNDER = 'euporia.who';
/** How long a name may be. */
export const MOST_LETTERS = 60;

/** Who works at the bench with this device; empty while nobody said. */
export function whoIsAtIt(): string {
  try {
    return (localStorage.getItem(KEPT_UNDER) ?? '').slice(0, MOST_LETTERS);
  } catch {
    return '';
  }
}

/** Says who works at the bench with this device. */
export function sayWhoIsAtIt(name: string): void {
  try {
    localStorage.setItem(KEPT_UNDER, name.trim().slice(0, MOST_LETTERS));
  } catch {
    // A device that keeps nothing has no name.
  }
}
