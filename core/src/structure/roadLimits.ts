/** Legal size of a load on the road, inches from the ground up; state limits differ, so a business sets its own. Common practice, no source. */
export const ROAD_LIMITS = { width: 102, height: 162 } as const;

/** Height of a usual trailer's bed, inches: what is left of the road's limit is the unit's. Common practice, no source. */
export const USUAL_BED = 36;
