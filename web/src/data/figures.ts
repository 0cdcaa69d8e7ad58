import type { Quantity, Show } from '@rubbet/core/order';

/** A kept figure as a form shows it: a whole number of the reader's unit; nothing where there is none yet. */
export const showFigure = (quantity: Quantity, kept: number | undefined, show: Show): string =>
  kept === undefined ? '' : String(Math.round(show.out(quantity, kept)));

/**
 * What was typed, as a whole number of the trade's unit; undefined where it is no number of 0 or more. A figure that was not
 * touched stays as it was kept, however it was rounded to be shown.
 */
export const readFigure = (
  quantity: Quantity,
  text: string,
  kept: number | undefined,
  show: Show,
): number | undefined => {
  const plain = text.trim();
  if (kept !== undefined && plain === showFigure(quantity, kept, show)) return kept;
  return /^\d+(\.\d+)?$/.test(plain) ? Math.round(show.back(quantity, Number(plain))) : undefined;
};
