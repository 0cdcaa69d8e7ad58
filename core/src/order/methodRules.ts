/** How the business works away from its shop. Defaults common practice, no source. */
export interface MethodRules {
  /** Pounds that one person carries, and the most that lift together. */
  readonly lift: number;
  readonly lifters: number;
  /** Room beside what is carried through a gate. */
  readonly hands: number;
  /** Working minutes of a day away, the drives in it. */
  readonly siteDay: number;
  /** One way, minutes, from which the crew stays overnight. */
  readonly nightFrom: number;
  /** A night for one, cents. */
  readonly night: number;
  /** Panels that a customer joins at the most. */
  readonly kitMost: number;
}

/** People on site, and at one unit in the shop. Common practice, no source. */
export const CREW = 2;

export const METHOD_RULES: MethodRules = {
  lift: 70,
  lifters: 4,
  hands: 2,
  siteDay: 540,
  nightFrom: 120,
  night: 13_500,
  kitMost: 20,
};
