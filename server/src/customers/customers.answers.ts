/** A customer as the book has them. */
export interface Customer {
  readonly id: number;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly address: string;
  readonly miles: number;
  readonly version: number;
}
