import { clean } from '../measure/index.ts';
import type { OrderComputation } from './computeOrder.ts';

/** What each method would come to, as documented in docs/formats.md: minutes, working days, trips, inches, pounds, cents. */
export const writeMethods = ({ methods, foundation }: Pick<OrderComputation, 'methods' | 'foundation'>) => ({
  method: methods.method,
  why: methods.why,
  foundation: foundation.kind,
  proposals: methods.proposals.map((p) => ({
    method: p.method,
    possible: p.possible,
    reasons: p.reasons,
    hours: {
      shop: clean(p.shop / 60),
      site: clean(p.site / 60),
      road: clean(p.road / 60),
      customer: clean(p.customer / 60),
    },
    days: { shop: p.shopDays, site: p.siteDays },
    trips: p.trips,
    nights: p.nights,
    trailer: p.trailer.name,
    cost: p.price.cost,
    price: p.price.net,
    travels: p.travels.map((t) => ({
      id: t.id,
      name: t.name,
      kind: t.kind,
      size: t.size.map(clean),
      weight: clean(t.weight),
    })),
  })),
});
