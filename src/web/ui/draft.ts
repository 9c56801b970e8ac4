const KEY = 'euporia.draft';

/** The one field that is being typed in, kept so that a reload gives its text back. */
interface Draft {
  place: string;
  label: string;
  /** Which of the fields of that label it was, from the top. */
  nth: number;
  /** What was stored when typing began: over another value the text means nothing any more. */
  shown: string;
  text: string;
}

const here = () => `${location.pathname}${location.search}`;

const nthOf = (label: string, input: HTMLElement): number =>
  [...document.querySelectorAll('input[data-field], textarea[data-field]')]
    .filter((other) => other.getAttribute('data-field') === label)
    .indexOf(input);

/** Keeps what is being typed. */
export function keepDraft(label: string, input: HTMLElement, shown: string, text: string): void {
  const draft: Draft = { place: here(), label, nth: nthOf(label, input), shown, text };
  try {
    sessionStorage.setItem(KEY, JSON.stringify(draft));
  } catch {
    // A browser that keeps nothing loses it with the page; it has said so.
  }
}

/** What is typed is stored, or let go. */
export function dropDraft(): void {
  sessionStorage.removeItem(KEY);
}

/** The text that stood in this field, unstored, when the page was left. */
export function draftOf(label: string, input: HTMLElement, shown: string): string | null {
  const kept = sessionStorage.getItem(KEY);
  if (kept === null) return null;
  const draft = JSON.parse(kept) as Draft;
  const same =
    draft.place === here() && draft.label === label && draft.shown === shown && draft.nth === nthOf(label, input);
  return same ? draft.text : null;
}
