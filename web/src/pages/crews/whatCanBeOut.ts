import type { BoardData } from '../../data/types.ts';

/** What of a shop can be out, as choices: places and machines of the board, and trailers. */
export const whatCanBeOut = (data: Pick<BoardData, 'places' | 'trailers'>): readonly (readonly [string, string])[] => [
  ...data.places.map((p) => [`row ${p.id}`, p.name] as const),
  ...data.trailers.map((t) => [`trailer ${t.id}`, t.name] as const),
];
