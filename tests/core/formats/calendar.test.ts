import ical from 'node-ical';
import { describe, expect, it } from 'vitest';
import { writeCalendar } from '../../../src/core/formats/calendar.ts';
import type { Appointment } from '../../../src/core/sessions/appointment.ts';

const NOW = '2026-10-01T08:00:00.000Z';
const appointment = (changes: Partial<Appointment> = {}): Appointment => ({
  id: 'a1',
  start: '2026-10-22T18:30',
  timeZone: 'Europe/Oslo',
  minutes: 75,
  weeks: 1,
  note: '',
  ...changes,
});

function readEvents(text: string) {
  return Object.values(ical.sync.parseICS(text)).filter((each) => each?.type === 'VEVENT');
}

describe('appointments as a calendar file', () => {
  it('are read back by another package, with their length and every character of a note', () => {
    const note =
      'bring the strap; knees, hips\nand a second line that is long enough to be folded: æøå';
    const [event] = readEvents(writeCalendar([appointment({ note })], 'Session, Marit', NOW));
    expect(event!.summary).toBe('Session, Marit');
    expect(event!.description).toBe(note);
    // 18:30 in Oslo in summer is 16:30 in UTC.
    expect(new Date(event!.start).toISOString()).toBe('2026-10-22T16:30:00.000Z');
    expect((event!.end!.getTime() - event!.start.getTime()) / 60_000).toBe(75);
  });

  it('keep their local hour when the clocks change', () => {
    const text = writeCalendar([appointment({ weeks: 3 })], 'Session', NOW);
    const [event] = readEvents(text);
    const hours = event!
      .rrule!.all()
      .map((each) => new Date(each.toString()))
      .map((each) =>
        new Intl.DateTimeFormat('en-GB', {
          timeZone: 'Europe/Oslo',
          dateStyle: 'short',
          timeStyle: 'short',
        }).format(each),
      );
    expect(hours).toEqual(['22/10/2026, 18:30', '29/10/2026, 18:30', '05/11/2026, 18:30']);
  });

  it('carry the rules of their own time zone under the name that the event uses', () => {
    const text = writeCalendar(
      [appointment(), appointment({ id: 'a2', timeZone: 'America/New_York' })],
      'Session',
      NOW,
    );
    const zones = [...text.matchAll(/^TZID:(.+)\r?$/gm)].map((each) => each[1]!.trim());
    const used = [...text.matchAll(/^DTSTART;TZID=([^:]+):/gm)].map((each) => each[1]);
    expect(zones).toHaveLength(2);
    expect(new Set(used)).toEqual(new Set(zones));
  });

  it('float where the time zone is not known, and say so by carrying none', () => {
    const text = writeCalendar([appointment({ timeZone: 'Nowhere/Land' })], 'Session', NOW);
    expect(text).toContain('DTSTART:20261022T183000');
    expect(text).not.toContain('VTIMEZONE');
  });

  // RFC 5545, 3.1: lines end in CRLF and hold at most 75 octets; 3.8.7.2: the stamp is in UTC.
  it('keep to the lines, stamps and ids that RFC 5545 asks for', () => {
    const text = writeCalendar([appointment({ note: 'ä'.repeat(200) })], 'Session', NOW);
    for (const each of text.trimEnd().split('\r\n')) {
      expect(each).not.toContain('\n');
      expect(Buffer.byteLength(each)).toBeLessThanOrEqual(75);
    }
    expect(text).toMatch(/\r\nDTSTAMP:20261001T080000Z\r\n/);
    expect(text).toMatch(/\r\nUID:a1@stillwater\r\n/);
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:')).toBe(true);
  });
});
