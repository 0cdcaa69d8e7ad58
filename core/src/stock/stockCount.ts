/** So many of a size of an item. Inches; a size that the item does not have, or that does not matter, is null. */
export interface StockCount {
  readonly item: string;
  readonly length: number | null;
  readonly width: number | null;
  readonly quantity: number;
}
