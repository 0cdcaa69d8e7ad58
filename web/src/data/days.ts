import { format, parseISO } from 'date-fns';

/** The day of this browser; where the shop's is known, that one counts. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd');

/** `Fri 18 Dec`. */
export const shortDay = (day: string): string => format(parseISO(day), 'EEE d MMM');
/** `Friday 18 December`. */
export const longDay = (day: string): string => format(parseISO(day), 'EEEE d MMMM');
/** Day and time of a database time, which is in UTC. */
export const moment = (at: string): string =>
  format(parseISO(`${at.replace(' ', 'T')}${at.endsWith('Z') ? '' : 'Z'}`), 'd MMM, HH:mm');
