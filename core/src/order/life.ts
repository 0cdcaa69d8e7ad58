/** Who may do something to an order. */
export type StaffRole = 'office' | 'shop' | 'driver';
export const ROLES: readonly StaffRole[] = ['office', 'shop', 'driver'];

/** Where an order stands in its life: everything that decides what may happen to it next. */
export interface OrderLife {
  readonly flock: boolean;
  readonly spec: boolean;
  readonly survey: boolean;
  readonly accepted: boolean;
  readonly scheduled: boolean;
  /** The work order, once there is one. `touched`: something on it was cut, measured, spoiled, ticked or timed. */
  readonly work: { readonly touched: boolean; readonly done: boolean } | null;
  readonly deliverySet: boolean;
  readonly delivered: boolean;
  readonly handedOver: boolean;
  readonly held: boolean;
  readonly cancelled: boolean;
}

/** What can happen to an order. */
export type OrderAct =
  | 'write'
  | 'flock'
  | 'revise'
  | 'quantity'
  | 'method'
  | 'customer'
  | 'wanted day'
  | 'survey'
  | 'terms'
  | 'accept'
  | 'take back acceptance'
  | 'plan days'
  | 'make work order'
  | 'change order'
  | 'work'
  | 'work there'
  | 'set delivery'
  | 'deliver'
  | 'take back delivery'
  | 'hand over'
  | 'renew link'
  | 'withdraw link'
  | 'hold'
  | 'resume'
  | 'cancel'
  | 'reopen'
  | 'copy';

/** What an act takes away from an order, so that it can be asked for first. */
export type Undone = 'acceptance' | 'days' | 'work order' | 'delivery day';

/** Why an act may not happen: a code for programs, a sentence for people. */
export interface Refusal {
  readonly code: string;
  readonly why: string;
}

/** Whether an act may happen, and what it undoes. */
export interface Verdict {
  readonly refusal?: Refusal;
  readonly undoes: readonly Undone[];
}

/** What is lost with each thing that an act undoes, in words. */
export const UNDONE_WORDS: Readonly<Record<Undone, string>> = {
  acceptance: 'The accepted price: it is settled anew.',
  days: 'Its place on the crew board.',
  'work order': 'The work order, on which nothing is ticked yet: it is made anew.',
  'delivery day': 'The delivery day and the trailer kept for it.',
};

const say = (code: string, why: string): Refusal => ({ code, why });
type Guard = (o: OrderLife) => Refusal | undefined;

const notCancelled: Guard = (o) =>
  o.cancelled ? say('cancelled', 'This order is cancelled: take it up again first.') : undefined;
const notHeld: Guard = (o) => (o.held ? say('on-hold', 'This order is on hold: go on with it first.') : undefined);
const notEnded: Guard = (o) =>
  o.handedOver ? say('ended', 'This order is handed over and stays as it is: copy it as a new one.') : undefined;
const notDelivered: Guard = (o) =>
  o.delivered ? say('delivered', 'It has been delivered already; nothing of it is changed now.') : undefined;
/** Refuses what would throw logged work away, with what to do instead. */
const untouchedOr =
  (instead: string): Guard =>
  (o) =>
    o.work?.touched
      ? say('being-built', `Work on it is logged already, and logged work is never thrown away. ${instead}`)
      : undefined;
const untouched = untouchedOr(
  'Copy it as a new order for what is to be different; where nothing but ticks stands on it, undo them at the bench.',
);
const isAccepted: Guard = (o) =>
  o.accepted ? undefined : say('not-accepted', 'Only accepted orders go on: settle the price first.');
const hasWorkOrder: Guard = (o) =>
  o.work ? undefined : say('no-work-order', 'This order has no work order: make one at its Bench station.');

/** Guards that hold for everything that moves an order on. */
const ALIVE: readonly Guard[] = [notCancelled, notEnded];
const OPEN: readonly Guard[] = [...ALIVE, notDelivered];

const EVERYTHING_AFTER_PRICE = (o: OrderLife): Undone[] => [
  ...(o.accepted ? (['acceptance'] as const) : []),
  ...(o.scheduled ? (['days'] as const) : []),
  ...(o.work && !o.work.touched ? (['work order'] as const) : []),
];

interface ActRule {
  readonly roles: readonly StaffRole[];
  readonly guards: readonly Guard[];
  readonly undoes?: (o: OrderLife) => readonly Undone[];
}
const OFFICE: readonly StaffRole[] = ['office'];

/** The one table of what may happen when, by whom, and what it takes away. */
export const ORDER_ACTS: Readonly<Record<OrderAct, ActRule>> = {
  write: { roles: OFFICE, guards: [notCancelled] },
  flock: { roles: OFFICE, guards: OPEN },
  revise: {
    roles: OFFICE,
    guards: [
      ...OPEN,
      untouchedOr(
        'Propose a change order at the Build station: it says what of that still fits, what is scrap and what it costs.',
      ),
    ],
    undoes: EVERYTHING_AFTER_PRICE,
  },
  quantity: { roles: OFFICE, guards: [...OPEN, untouched], undoes: EVERYTHING_AFTER_PRICE },
  // How it is made decides hours, trips and price.
  method: { roles: OFFICE, guards: [...OPEN, untouched], undoes: EVERYTHING_AFTER_PRICE },
  // The way to the site is part of the price.
  customer: { roles: OFFICE, guards: [...OPEN, untouched], undoes: EVERYTHING_AFTER_PRICE },
  'wanted day': { roles: OFFICE, guards: OPEN },
  survey: { roles: ['office', 'driver'], guards: OPEN },
  terms: {
    roles: OFFICE,
    guards: [
      ...OPEN,
      (o) =>
        o.accepted
          ? say('accepted', 'It is accepted at the price that was kept: take the acceptance back first, with a reason.')
          : undefined,
    ],
  },
  accept: {
    roles: OFFICE,
    guards: [
      ...OPEN,
      notHeld,
      (o) => (o.spec ? undefined : say('no-spec', 'There is nothing to accept: build it first.')),
      (o) => (o.accepted ? say('accepted', 'It is accepted already, at the price that was kept.') : undefined),
    ],
  },
  'take back acceptance': {
    roles: OFFICE,
    guards: [...OPEN, isAccepted, untouched],
    undoes: EVERYTHING_AFTER_PRICE,
  },
  'plan days': { roles: OFFICE, guards: [...OPEN, notHeld, isAccepted] },
  'make work order': { roles: OFFICE, guards: [...OPEN, notHeld, isAccepted] },
  // What is being built is changed with what it costs in view, never by a revision alone.
  'change order': {
    roles: OFFICE,
    guards: [
      ...OPEN,
      notHeld,
      isAccepted,
      (o) =>
        o.work?.touched
          ? undefined
          : say('not-begun', 'Nothing of it is cut or built yet: keep a revision, and settle the price anew.'),
    ],
  },
  work: {
    roles: ['office', 'shop'],
    guards: [...OPEN, notHeld, hasWorkOrder],
  },
  // Loaded, driven, joined and finished at the customer's: until it is handed over, and by whoever drives it there.
  'work there': { roles: ROLES, guards: [...ALIVE, notHeld, hasWorkOrder] },
  'set delivery': { roles: OFFICE, guards: [...OPEN, notHeld, isAccepted] },
  deliver: {
    roles: ['office', 'driver'],
    guards: [
      ...ALIVE,
      (o) => (o.delivered ? say('delivered', 'It has been delivered already; the time stays as it was.') : undefined),
      notHeld,
      isAccepted,
      (o) => (o.deliverySet ? undefined : say('no-delivery', 'Set the delivery day first.')),
      (o) =>
        o.work?.done
          ? undefined
          : say(
              'not-built',
              'It is not built yet: steps at the bench are still open. Nothing that is not built leaves.',
            ),
    ],
  },
  'take back delivery': {
    roles: ['office', 'driver'],
    guards: [
      ...ALIVE,
      (o) =>
        o.delivered ? undefined : say('not-delivered', 'It has not been delivered, so there is nothing to take back.'),
    ],
  },
  'hand over': {
    roles: ['office', 'driver'],
    guards: [
      notCancelled,
      (o) => (o.handedOver ? say('ended', 'It has been handed over already; the time stays as it was.') : undefined),
      (o) => (o.delivered ? undefined : say('not-delivered', 'It has not been delivered yet.')),
    ],
  },
  'renew link': { roles: OFFICE, guards: [notCancelled] },
  'withdraw link': { roles: OFFICE, guards: [] },
  hold: {
    roles: OFFICE,
    guards: [...OPEN, (o) => (o.held ? say('on-hold', 'It is on hold already.') : undefined)],
    undoes: (o) => (o.scheduled ? ['days'] : []),
  },
  resume: { roles: OFFICE, guards: [...ALIVE, (o) => (o.held ? undefined : say('not-held', 'It is not on hold.'))] },
  cancel: {
    roles: OFFICE,
    guards: OPEN,
    undoes: (o) => [...(o.scheduled ? (['days'] as const) : []), ...(o.deliverySet ? (['delivery day'] as const) : [])],
  },
  reopen: {
    roles: OFFICE,
    guards: [(o) => (o.cancelled ? undefined : say('not-cancelled', 'It is not cancelled.'))],
  },
  copy: { roles: OFFICE, guards: [] },
};

/**
 * Whether an act may happen to an order now, why not, and what it would undo. Roles are judged where they are given; whoever
 * may not do it hears that before anything else.
 */
export const judgeAct = (order: OrderLife, act: OrderAct, roles?: readonly StaffRole[]): Verdict => {
  const rule = ORDER_ACTS[act];
  if (roles !== undefined && !rule.roles.some((r) => roles.includes(r)))
    return { refusal: say('not-yours', 'Your sign-in does not cover this; ask the office.'), undoes: [] };
  for (const guard of rule.guards) {
    const refusal = guard(order);
    if (refusal) return { refusal, undoes: [] };
  }
  return { undoes: rule.undoes?.(order) ?? [] };
};

/** What is known of an order where its life is to be read from: an answer of the server, or rows of the database. */
export interface LifeFacts {
  readonly flock: unknown;
  readonly revision: unknown;
  readonly survey: unknown;
  readonly accepted: unknown;
  readonly scheduledAt: string | null;
  readonly workOrder: { readonly touched: boolean; readonly doneAt: string | null } | null;
  readonly delivery: unknown;
  readonly deliveredAt: string | null;
  readonly handedOverAt: string | null;
  readonly held: unknown;
  readonly cancelled: unknown;
}

/** The life of an order, from what is known of it. */
export const lifeOf = (o: LifeFacts): OrderLife => ({
  flock: o.flock !== null,
  spec: o.revision !== null,
  survey: o.survey !== null,
  accepted: o.accepted !== null,
  scheduled: o.scheduledAt !== null,
  work: o.workOrder && { touched: o.workOrder.touched, done: o.workOrder.doneAt !== null },
  deliverySet: o.delivery !== null,
  delivered: o.deliveredAt !== null,
  handedOver: o.handedOverAt !== null,
  held: o.held !== null,
  cancelled: o.cancelled !== null,
});
