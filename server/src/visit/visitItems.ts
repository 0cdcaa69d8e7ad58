import { prepareItems } from '@rubbet/core/order';
import type { PrepareItem, SiteBrief } from '@rubbet/core/order';
import type { Order } from '../orders/orders.answers.ts';
import type { VisitItem } from './visit.answers.ts';

/** What can be said before anything is built. */
const BEFORE: readonly PrepareItem[] = [
  { key: 'gate', title: 'Measure the way in', text: 'Tell us the narrowest place on the way in.' },
  {
    key: 'turning',
    title: 'Room for the trailer',
    text: '50 ft of straight, firm ground to stop on. Tell us if the ground is soft when wet.',
  },
];

/** What a customer prepares for this order, in their words, and what of it is confirmed. */
export const visitItems = (order: Pick<Order, 'survey' | 'visited'>, brief: SiteBrief | undefined): VisitItem[] => {
  const gate = order.survey?.survey.gate;
  const fall = order.survey?.pads.fall;
  const items = brief
    ? prepareItems(brief, { ...(fall === undefined ? {} : { fall }), ...(gate === undefined ? {} : { gate }) })
    : BEFORE;
  return items.map((i) => ({ ...i, done: order.visited.includes(i.key) }));
};
