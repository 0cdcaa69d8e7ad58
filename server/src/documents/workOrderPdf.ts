import type { Content } from 'pdfmake/interfaces.js';
import { unitsOf } from '@rubbet/core/order';
import type { Order } from '../orders/orders.answers.ts';
import type { MadeFrom } from './documents.service.ts';
import { coverPages } from './packet/cover.ts';
import { cutPages } from './packet/cutPages.ts';
import { packPage } from './packet/packPage.ts';
import { panelPages } from './packet/panelPages.ts';
import { stepPages } from './packet/stepPages.ts';
import { numberSteps } from './packet/stepLines.ts';
import type { Paper } from './paper.ts';
import { printPdf } from './print.ts';
import { groundPages } from './siteSheetPdf.ts';

/** The packet of a work order: cover, what is cut, a page a panel with its steps, the other steps, pack list, and the ground. */
export const workOrderContent = (
  order: Order,
  c: MadeFrom,
  paper: Paper,
  say: (part: number) => void = () => undefined,
): Content[] => {
  const numbers = numberSteps(c.steps);
  const parts = [
    () => coverPages(order, c, paper),
    () => cutPages(c, paper.show),
    () => panelPages(c, numbers, paper.show),
    () => stepPages(c, numbers, paper.show),
    () => packPage(c, paper.show),
    () => groundPages(c, paper.show),
  ];
  return parts.flatMap((part, i) => {
    say(i / parts.length);
    return part();
  });
};

/** Share of the work order's time that its drawings take; the rest is setting it. */
const DRAWN = 0.35;

/** The work order as a PDF. @param say hears how far it is, 0 to 1 */
export const workOrderPdf = (
  order: Order,
  c: MadeFrom,
  paper: Paper,
  say: (part: number) => void = () => undefined,
): Promise<Buffer> => {
  const units = unitsOf(c);
  return printPdf(
    `Work order ${order.id}`,
    `${order.title} · ${order.customer.name}`,
    workOrderContent(order, c, paper, (part) => say(part * DRAWN)),
    paper.business.paper,
    `Work order ${order.id}${order.revision ? ` · revision ${order.revision.number}` : ''} · unit ${units > 1 ? `____ of ${units}` : '1 of 1'}`,
    (part) => say(DRAWN + part * (1 - DRAWN)),
  );
};
