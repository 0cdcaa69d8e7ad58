/** A calendar that somebody subscribed to: a crew's, a person's, a trailer's or all. */
export interface Feed {
  readonly id: number;
  readonly kind: 'crew' | 'person' | 'trailer' | 'shop';
  readonly name: string;
  /** Where it is read, without a sign-in, by whoever has it. */
  readonly path: string;
  readonly createdAt: string;
}
