import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { calendarFile } from './write';

const stamp = Date.parse('2026-06-01T13:00:00Z');
const long = 'Wardrobe with mirrored doors, mid-century, from the estate sale on the hill — größer als gedacht, prüfen';
const file = calendarFile(
  'Attic bedroom',
  [
    { id: 'return-1', onDate: '2026-06-30', title: `Last day to return ${long}`, text: 'The Penny Shelf, $12.00 back' },
    { id: 'give-back-2', onDate: '2026-12-31', title: 'Give back lantern; two, of brass', text: 'line one\nline two' },
  ],
  stamp,
);

describe('a calendar file', () => {
  it('is read again by a general-purpose parser, with what was written', () => {
    const calendar = new ICAL.Component(ICAL.parse(file));
    const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
    expect(events.map(({ uid, summary, description }) => [uid, summary, description])).toEqual([
      ['return-1@euporia', `Last day to return ${long}`, 'The Penny Shelf, $12.00 back'],
      ['give-back-2@euporia', 'Give back lantern; two, of brass', 'line one\nline two'],
    ]);
    expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
    expect(calendar.getFirstPropertyValue('prodid')).toContain('Euporia');
  });

  it('has whole days whose end is the day after (RFC 5545: a DATE-valued DTEND is exclusive)', () => {
    expect(file).toContain('DTSTART;VALUE=DATE:20260630\r\n');
    expect(file).toContain('DTEND;VALUE=DATE:20260701\r\n');
    expect(file).toContain('DTEND;VALUE=DATE:20270101\r\n');
  });

  it('folds lines at 75 octets, ends each with CRLF, and stamps in UTC (RFC 5545, 3.1)', () => {
    const lines = file.split('\r\n');
    expect(Math.max(...lines.map((line) => new TextEncoder().encode(line).length))).toBeLessThanOrEqual(75);
    expect(file.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    expect(file).toContain('DTSTAMP:20260601T130000Z\r\n');
    // The long title takes more than one line: the folds are there.
    expect(lines.some((line) => line.startsWith(' '))).toBe(true);
  });

  it('is the same each time it is made, so that a calendar knows what it has', () => {
    const again = calendarFile('Attic bedroom', [{ id: 'a', onDate: '2026-06-30', title: 'A', text: '' }], stamp);
    expect(calendarFile('Attic bedroom', [{ id: 'a', onDate: '2026-06-30', title: 'A', text: '' }], stamp)).toBe(again);
  });
});
