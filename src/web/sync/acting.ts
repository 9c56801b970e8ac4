/** All that acts need, as one part of the page: what they decide, what must hold after them, and what waits. */
export { expectedVersions, foreseen, withWaiting } from './foreseen';
export { decide, typeAct } from './typed';
