import type { FindingOf, Sentences } from './finding';
import { formatLength } from './formatLength';

/** What is said of an entry that cannot be read. */
export const inputSentences = {
  'money.unreadable': (f: { text: string; currency: string; example: string }) =>
    `“${f.text}” is not an amount of money in ${f.currency}; write it like ${f.example}.`,
  'price.unreadable': (f: { text: string; currency: string; example: string }) =>
    `“${f.text}” is not a price in ${f.currency}; write it like ${f.example}, 10 to 14, over 100, at most 20, about 12, free or unknown.`,
  'length.unreadable': (f: { text: string; example: string; longest: number }) =>
    `“${f.text}” is not a length; write it like ${f.example}.`,
  'length.outOfRange': (f: { text: string; example: string; longest: number }, locale) =>
    `“${f.text}” is out of range: more than nothing and at most ${formatLength(f.longest, locale.units)}.`,
  'size.unreadable': (f: { text: string; example: string; things: string }) =>
    `“${f.text}” is not a size; write it like ${f.example}.`,
  'size.backwards': (f: { text: string; example: string; things: string }) =>
    `“${f.text}” runs backwards: the smaller size comes first, like ${f.example}.`,
  'size.unknownThing': (f: { text: string; example: string; things: string }) =>
    `“${f.text}” names nothing with a known size${f.things ? `; known here: ${f.things}` : ''}. Or write it like ${f.example}.`,
} satisfies Sentences;

/** An entry that cannot be read. */
export type InputFinding = FindingOf<typeof inputSentences>;
