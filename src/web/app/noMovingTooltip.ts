/** Stands in for the library's one moving tooltip: what is in it, and nothing more. */
export { Fragment as default } from 'react';
