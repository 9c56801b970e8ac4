const KEY = 'euporia.studio';
/** The studio that any tab of this device was in last. */
const LAST = 'euporia.studio.last';

/** The studio that this tab is in: it stays in it, whichever is opened elsewhere meanwhile, also through a reload. */
let studioId: string | null = sessionStorage.getItem(KEY);

export const studioOfTab = (): string | null => studioId;

/** Puts the tab into a studio; what the page shows already is still of the one before. */
export function putTabInto(id: string): void {
  studioId = id;
  sessionStorage.setItem(KEY, id);
  localStorage.setItem(LAST, id);
}

/** Which studio's answers are looked at without a connection: the tab's, in a new tab the one that was used last. */
export const studioLookedAt = (): string => studioId ?? localStorage.getItem(LAST) ?? '';

/** An address that the browser fetches by itself, a picture or a file, with the studio of this tab said in it. */
export function inTabStudio(address: string): string {
  if (studioId === null) return address;
  return `${address}${address.includes('?') ? '&' : '?'}studio=${encodeURIComponent(studioId)}`;
}
