import ICAL from 'ical.js';

// The blank that a folded line begins with counts as well: RFC 5545 has 75 octets at most.
ICAL.foldLength = 74;

/** Something that happens, at moments. */
export interface Happening {
  readonly uid: string;
  readonly title: string;
  readonly text: string;
  readonly place: string;
  readonly start: Date;
  readonly end: Date;
  /** How often it was changed: readers take the newest. */
  readonly sequence: number;
}

/** Minutes by which a zone's clock is ahead of universal time at a moment. */
const aheadOf = (timeZone: string, at: Date): number => {
  const parts = new Intl.DateTimeFormat('en-US', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
  }).formatToParts(at);
  const of = (type: string): number => Number(parts.find((p) => p.type === type)?.value ?? 0);
  const there = Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'));
  return Math.round((there - at.getTime()) / 60_000);
};

/** The moment at which a shop's clock says so: its day, and minutes after midnight. */
export const momentIn = (timeZone: string, day: string, minute: number): Date => {
  const wanted = Date.parse(`${day}T00:00:00Z`) + minute * 60_000;
  // Once more with what is ahead then: a day on which the clocks change has another before than after.
  const first = wanted - aheadOf(timeZone, new Date(wanted)) * 60_000;
  return new Date(wanted - aheadOf(timeZone, new Date(first)) * 60_000);
};

/** A calendar as RFC 5545 has it, times in universal time. */
export const writeCalendar = (name: string, list: readonly Happening[], stamp: Date): string => {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('prodid', '-//Rubbet//Crew plan//EN');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('method', 'PUBLISH');
  calendar.updatePropertyWithValue('x-wr-calname', name);
  // Readers look again every hour.
  calendar.updatePropertyWithValue('x-published-ttl', 'PT1H');
  for (const h of list) {
    const event = new ICAL.Component('vevent');
    event.updatePropertyWithValue('uid', h.uid);
    event.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(stamp, true));
    event.updatePropertyWithValue('dtstart', ICAL.Time.fromJSDate(h.start, true));
    event.updatePropertyWithValue('dtend', ICAL.Time.fromJSDate(h.end, true));
    event.updatePropertyWithValue('summary', h.title);
    if (h.text !== '') event.updatePropertyWithValue('description', h.text);
    if (h.place !== '') event.updatePropertyWithValue('location', h.place);
    event.updatePropertyWithValue('sequence', h.sequence);
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
};
