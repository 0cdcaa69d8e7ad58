import { isSame } from '../../data/drafts.ts';
import type { Order } from '../../data/types.ts';

/** Details of an order as they are typed. */
export interface Details {
  readonly title: string;
  readonly wantedBy: string;
  readonly quantity: string;
  /** 0 while nobody is chosen. */
  readonly customerId: number;
  /** 0: the customer's own address. */
  readonly siteId: number;
  readonly notes: string;
}

export const detailsOf = (order: Order): Details => ({
  title: order.title,
  wantedBy: order.wantedBy,
  quantity: String(order.quantity),
  customerId: order.customer.id,
  siteId: order.site?.id ?? 0,
  notes: order.notes,
});

/** What is wrong with what was typed, field by field, and what of it is new. */
export const readDetails = (
  typed: Details,
  order: Order,
): {
  readonly errors: Partial<Record<keyof Details, string>>;
  readonly change: Readonly<Record<string, string | number | null>>;
} => {
  const errors: Partial<Record<keyof Details, string>> = {};
  const quantity = Number(typed.quantity);
  if (typed.title.trim().length < 2) errors.title = 'At least two letters.';
  if (typed.title.trim().length > 120) errors.title = 'At most 120 letters.';
  if (!/^20\d{2}-\d{2}-\d{2}$/.test(typed.wantedBy)) errors.wantedBy = 'Choose a day.';
  if (!/^\d+$/.test(typed.quantity) || quantity < 1 || quantity > 50) errors.quantity = 'A whole number from 1 to 50.';
  if (typed.customerId === 0) errors.customerId = 'Choose a customer.';
  if (typed.notes.length > 4000) errors.notes = 'At most 4,000 letters.';
  const now = detailsOf(order);
  const change: Record<string, string | number | null> = {};
  if (typed.title.trim() !== now.title) change.title = typed.title.trim();
  if (typed.wantedBy !== now.wantedBy) change.wantedBy = typed.wantedBy;
  if (!isSame(typed.quantity, now.quantity)) change.quantity = quantity;
  if (typed.customerId !== now.customerId) change.customerId = typed.customerId;
  if (typed.siteId !== now.siteId) change.siteId = typed.siteId === 0 ? null : typed.siteId;
  if (typed.notes.trim() !== now.notes) change.notes = typed.notes;
  return { errors, change };
};
