// Which test files go first: the longest, so that no worker is left alone with one at the end.
import { statSync } from 'node:fs';

/** What files take, the longest first: browsers, then designs by the hundred, then the server. */
const TAKES = [
  [/e2e\/(nothingLost|custom|accessible|crash|telephone|millimetres)\./, 6],
  [/e2e\//, 5],
  [/families\/(house-with-run|raised-lean-to|walk-in|raised-gable)\/true\./, 4],
  [/(envelope|collisions|proveMends|fuzz|customOrders|true)\.test/, 3],
  [/server\//, 2],
  [/core\//, 1],
];
const takes = (path) => TAKES.find(([pattern]) => pattern.test(path))?.[1] ?? 0;

/** What Jest asks of a sequencer; nothing is kept from one run to the next. */
export default class {
  sort(tests) {
    return [...tests].sort((a, b) => takes(b.path) - takes(a.path) || statSync(b.path).size - statSync(a.path).size);
  }
  shard(tests, { shardIndex, shardCount }) {
    return this.sort(tests).filter((_, i) => i % shardCount === shardIndex - 1);
  }
  allFailedTests(tests) {
    return tests;
  }
  async cacheResults() {}
}
