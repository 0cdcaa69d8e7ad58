/** A day on which somebody works with another crew than usually; with nobody's, where there is none. */
export interface CrewDay {
  readonly id: number;
  readonly userId: number;
  readonly name: string;
  readonly day: string;
  readonly crew: string | null;
  readonly crewName: string | null;
}
