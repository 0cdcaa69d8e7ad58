/**
 * The least that it costs to give each of as many things a place of its own (the Hungarian method with potentials, Kuhn 1955 and
 * Munkres 1957, from memory).
 * @param cost `cost[thing][place]`, square, none below nothing
 */
export const leastAssignment = (cost: readonly (readonly number[])[]): number => {
  const n = cost.length;
  const [u, v] = [new Float64Array(n + 1), new Float64Array(n + 1)];
  const [thing, way] = [new Int32Array(n + 1), new Int32Array(n + 1)];
  for (let i = 1; i <= n; i++) {
    thing[0] = i;
    let place = 0;
    const least = new Float64Array(n + 1).fill(Infinity);
    const used = new Uint8Array(n + 1);
    do {
      used[place] = 1;
      const at = thing[place] as number;
      let step = Infinity;
      let next = 0;
      for (let j = 1; j <= n; j++) {
        if (used[j] === 1) continue;
        const c = ((cost[at - 1] as number[])[j - 1] as number) - (u[at] as number) - (v[j] as number);
        if (c < (least[j] as number)) {
          least[j] = c;
          way[j] = place;
        }
        if ((least[j] as number) < step) {
          step = least[j] as number;
          next = j;
        }
      }
      for (let j = 0; j <= n; j++)
        if (used[j] === 1) {
          const of = thing[j] as number;
          u[of] = (u[of] as number) + step;
          v[j] = (v[j] as number) - step;
        } else least[j] = (least[j] as number) - step;
      place = next;
    } while (thing[place] !== 0);
    do {
      const before = way[place] as number;
      thing[place] = thing[before] as number;
      place = before;
    } while (place !== 0);
  }
  let sum = 0;
  for (let j = 1; j <= n; j++) sum += (cost[(thing[j] as number) - 1] as number[])[j - 1] as number;
  return sum;
};
