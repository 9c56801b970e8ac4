import type { QuickLine } from './quickLine';

/** A quick line on which nothing is said: one of something. */
export const emptyQuickLine = (): QuickLine => ({
  name: '',
  templateId: null,
  kindId: null,
  tag: null,
  lines: [],
  quantity: 1,
  pieces: 1,
  usable: 1,
  counted: true,
  materialId: null,
  finishId: null,
  sheen: null,
  measures: {},
  repairMinutes: 0,
  freshDays: null,
  leadDays: null,
  tiers: null,
  note: '',
  understood: [],
});
