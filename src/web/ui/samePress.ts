/** Presses that follow one another so quickly are one. */
const SAME_PRESS_MS = 1500;
/** A finger does not move further between them, pixels. */
const SAME_PLACE = 12;

/** The press that settled something last, on any page; null once anything else was pressed. */
let lastPress: { button: string; x: number; y: number; at: number } | null = null;

const isInPlace = ({ clientX, clientY }: MouseEvent): boolean =>
  lastPress !== null && Math.hypot(lastPress.x - clientX, lastPress.y - clientY) <= SAME_PLACE;

// Whoever presses elsewhere meanwhile, or another key, means the next press.
document.addEventListener(
  'pointerdown',
  (event) => {
    if (!isInPlace(event)) lastPress = null;
  },
  true,
);
document.addEventListener(
  'keydown',
  ({ key }) => {
    if (key !== 'Enter' && key !== ' ') lastPress = null;
  },
  true,
);

/** Whether a press is only the last one again: on the same button, or in the same place after the page moved under it. */
export function isSamePress(button: string, event: MouseEvent): boolean {
  const at = performance.now();
  const isSoon = lastPress !== null && at - lastPress.at < SAME_PRESS_MS;
  if (isSoon && (lastPress?.button === button || (event.detail > 0 && isInPlace(event)))) return true;
  lastPress = { button, x: event.clientX, y: event.clientY, at };
  return false;
}
