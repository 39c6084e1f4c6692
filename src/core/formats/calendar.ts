import ICAL from 'ical.js';
import { tzlib_get_ical_block, tzlib_get_timezones } from 'timezones-ical-library';
import type { Appointment } from '../sessions/appointment.ts';

/** A time zone as calendars know it; null when the library does not know its name. */
function findZone(
  name: string,
): { readonly id: string; readonly component: ICAL.Component } | null {
  const known = JSON.parse(tzlib_get_timezones(true)) as string[];
  if (!known.includes(name)) return null;
  const block = tzlib_get_ical_block(name);
  if (typeof block === 'string') return null;
  const [text, told] = block;
  if (text === undefined || told === undefined) return null;
  // Some names lead to another one with the same rules: event and zone must agree.
  return {
    id: told.replace('TZID=', ''),
    component: new ICAL.Component(ICAL.parse(text) as unknown[]),
  };
}

const toTime = (local: string, addMinutes = 0): ICAL.Time => {
  const time = ICAL.Time.fromDateTimeString(`${local}:00`);
  time.adjust(0, 0, addMinutes, 0);
  return time;
};

/** What stands in a calendar: an appointment, perhaps under words of its own. */
export interface CalendarEntry extends Appointment {
  readonly summary?: string;
}

function toEvent(
  entry: CalendarEntry,
  zone: string | null,
  usual: string,
  now: string,
): ICAL.Component {
  const { id, start, minutes, weeks, note, summary = usual } = entry;
  const event = new ICAL.Component('vevent');
  event.addPropertyWithValue('uid', `${id}@stillwater`);
  event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(new Date(now), true));
  for (const [name, add] of [
    ['dtstart', 0],
    ['dtend', minutes],
  ] as const) {
    const property = event.addPropertyWithValue(name, toTime(start, add));
    if (zone !== null) property.setParameter('tzid', zone);
  }
  if (weeks > 1) {
    event.addPropertyWithValue('rrule', ICAL.Recur.fromData({ freq: 'WEEKLY', count: weeks }));
  }
  event.addPropertyWithValue('summary', summary);
  if (note !== '') event.addPropertyWithValue('description', note);
  return event;
}

/**
 * Appointments as a calendar file (RFC 5545). Local times with their time zone's own rules,
 * so that an hour stays the same hour when the clocks change; a zone that is not known
 * leaves the time floating, which calendars read as local.
 *
 * @param appointments to be written
 * @param summary what stands in the calendar for those without words of their own
 * @param now ISO date; the core has no clock
 * @returns the text of the file
 */
export function writeCalendar(
  appointments: readonly CalendarEntry[],
  summary: string,
  now: string,
): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Stillwater//Appointments//EN');
  const zones = new Map<string, string>();
  for (const { timeZone } of appointments) {
    const zone = findZone(timeZone);
    if (zone === null || zones.has(timeZone)) continue;
    if (![...zones.values()].includes(zone.id)) calendar.addSubcomponent(zone.component);
    zones.set(timeZone, zone.id);
  }
  for (const each of appointments) {
    calendar.addSubcomponent(toEvent(each, zones.get(each.timeZone) ?? null, summary, now));
  }
  return `${calendar.toString()}\r\n`;
}
