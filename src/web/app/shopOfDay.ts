const keyOf = (projectId: string) => `euporia.shop.${projectId}`;

/** The place where the card stands, on this device; null while nobody said. */
export const shopOfDay = (projectId: string): string | null => localStorage.getItem(keyOf(projectId));

/** The card stands in another place from now on. */
export function standAt(projectId: string, sourceId: string | null): void {
  if (sourceId === null) localStorage.removeItem(keyOf(projectId));
  else localStorage.setItem(keyOf(projectId), sourceId);
}
