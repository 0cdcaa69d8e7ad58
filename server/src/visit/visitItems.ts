import { findFamily } from '@rubbet/core/model';
import type { Order } from '../orders/orders.answers.ts';
import type { VisitItem } from './visit.answers.ts';

/** Keys of what a customer prepares and confirms. */
export const VISIT_ITEMS = ['ground', 'gate', 'turning', 'services', 'permits', 'litter', 'birds', 'home'] as const;

const inches = (n: number): string => `${Math.ceil(n)}″`;

/** What a customer prepares for this order, in their words, with this unit's own sizes. */
export const visitItems = (order: Order): VisitItem[] => {
  const size = order.revision?.summary.size;
  const wide = size ? Math.min(size[0], size[1]) : undefined;
  const movable = findFamily(order.revision?.spec.family ?? '')?.movable ?? false;
  const fall = order.survey?.pads.fall ?? 0;
  const gate = order.survey?.survey.gate;
  const text: Record<(typeof VISIT_ITEMS)[number], readonly [string, string]> = {
    ground: [
      'Level the place',
      movable
        ? 'Mow it short and take stones out; nothing else is needed under a pen.'
        : fall > 0
          ? `We measured a fall of ${inches(fall)} from corner to corner. We bring the blocks; take off the turf where the pads go.`
          : 'Take off the turf 12″ beyond the unit on all sides.',
    ],
    gate: [
      'Measure the gate',
      gate !== undefined && wide
        ? gate >= wide + 2
          ? `We measured ${inches(gate)} at the narrowest place: the unit of ${inches(wide)} passes. Keep it clear on the day.`
          : `We measured ${inches(gate)} at the narrowest place and the unit is ${inches(wide)} wide: we will ask you how to bring it in.`
        : wide
          ? `The unit is ${inches(wide)} wide and ${inches(size?.[2] ?? 0)} high as it comes: the narrowest place on its way must be ${inches(wide + 6)}.`
          : 'Tell us the narrowest place on the way in.',
    ],
    turning: [
      'Room for the trailer',
      '50 ft of straight, firm ground to stop on. Tell us if the ground is soft when wet.',
    ],
    services: [
      'Find buried services',
      'Have buried pipes and cables located before any digging, and look up for overhead lines.',
    ],
    permits: [
      'Ask about permits',
      'Local codes, setbacks and homeowner rules decide whether it may stand there; your town hall knows.',
    ],
    litter: [
      'Litter and feed',
      movable ? 'A hanging feeder and a bucket with nipples.' : 'Two bales of shavings start a mid-size house.',
    ],
    birds: [
      'Moving day for the birds',
      'Move them at night, straight on to the roost, and keep them in for some days. Take the old house away or they go back to it.',
    ],
    home: [
      'Be at home',
      'An hour of your time when we come: we show you the latches, the inside release and how to start.',
    ],
  };
  return VISIT_ITEMS.map((key) => ({
    key,
    title: text[key][0],
    text: text[key][1],
    done: order.visited.includes(key),
  }));
};
