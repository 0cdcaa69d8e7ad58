import type { TextItem } from '@rubbet/core/draw';
import type { Business, Show } from '@rubbet/core/order';

/** What a paper is printed for: the reader's units and money, and the business whose paper it is. */
export interface Paper {
  readonly show: Show;
  readonly business: Business;
}

/** How the figures of a drawing are written for a reader. */
export const textIn =
  (show: Show) =>
  (item: TextItem): string =>
    item.length === undefined ? show.text(item.text) : show.length(item.length);
