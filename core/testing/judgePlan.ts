import highsLoader from 'highs';
import { DAY, dayMinute, makeClock, SLOT } from '../src/crews/index.ts';
import type { Operation, Shop } from '../src/crews/index.ts';

type Highs = Awaited<ReturnType<typeof highsLoader>>;
let highs: Highs | undefined;

/**
 * The least lateness, in the shop's money, of any plan of a small shop: a time-indexed model, a variable for each operation, person and
 * quarter hour at which it starts, solved by a MIP library (HiGHS). Every operation is done by one; people have no hours of their own and
 * nobody is away; a unit stands in one bay from its first work there until the last of it is dry.
 */
export const judgePlan = async (shop: Shop): Promise<number> => {
  highs ??= await highsLoader();
  const clock = makeClock(shop);
  const T = clock.count;
  const long = (o: Operation): number => Math.max(1, Math.ceil(o.minutes / SLOT - 1e-9));
  const after = (o: Operation, t: number): number => {
    const end = t + long(o);
    return o.dry === 0 ? end : Math.max(end, clock.slotAt(clock.minuteOf(end - 1) + SLOT + o.dry));
  };
  const first = (o: Operation): number =>
    Math.max(clock.slotAt(shop.now), o.from === undefined ? 0 : clock.slotAt(dayMinute(shop.first, o.from)));
  const able = (o: Operation): number[] => shop.people.flatMap((p, i) => (p.skills.includes(o.skill) ? [i] : []));
  const starts = (o: Operation): number[] =>
    Array.from({ length: T }, (_, t) => t).filter((t) => t >= first(o) && t + long(o) <= T);
  const num = new Map(shop.operations.map((o, i) => [o.id, i]));
  const x = (o: Operation, p: number, t: number): string => `x${num.get(o.id) as number}_${p}_${t}`;
  const binary: string[] = [];
  const rows: string[] = [];
  const all = (o: Operation, which: (t: number) => boolean): string[] =>
    starts(o)
      .filter(which)
      .flatMap((t) => able(o).map((p) => x(o, p, t)));
  for (const o of shop.operations) {
    binary.push(...all(o, () => true));
    rows.push(`${all(o, () => true).join(' + ')} = 1`);
  }
  const running = (o: Operation, t: number, p?: number): string[] =>
    starts(o)
      .filter((s) => s <= t && s + long(o) > t)
      .flatMap((s) => able(o).flatMap((q) => (p === undefined || p === q ? [x(o, q, s)] : [])));
  for (let t = 0; t < T; t++) {
    shop.people.forEach((_, p) => {
      const list = shop.operations.flatMap((o) => running(o, t, p));
      if (list.length > 1) rows.push(`${list.join(' + ')} <= 1`);
    });
    for (const kind of new Set(shop.places.map((p) => p.kind))) {
      if (kind === 'bay') continue;
      const list = shop.operations.filter((o) => o.place === kind).flatMap((o) => running(o, t));
      const count = shop.places.filter((p) => p.kind === kind).length;
      if (list.length > count) rows.push(`${list.join(' + ')} <= ${count}`);
    }
  }
  for (const b of shop.operations)
    for (const need of b.needs) {
      const a = shop.operations.find((o) => o.id === need) as Operation;
      // Whatever starts at t or later is not ready sooner than what starts at t.
      for (const t of starts(a)) {
        const [late, early] = [all(a, (s) => s >= t), all(b, (s) => s < after(a, t))];
        if (late.length > 0 && early.length > 0) rows.push(`${[...late, ...early].join(' + ')} <= 1`);
      }
    }
  // Bays are alike: as many units stand at once as there are bays.
  const bays = shop.places.filter((p) => p.kind === 'bay').length;
  const stays: string[][] = Array.from({ length: T }, () => []);
  shop.orders.forEach((order, k) => {
    const mine = shop.operations.filter((o) => o.order === order.id && o.place === 'bay');
    const [head, tail] = [mine.find((o) => !o.needs.some((n) => mine.some((m) => m.id === n))), mine.at(-1)];
    if (!head || !tail) return;
    for (let t = 0; t < T; t++) {
      // It stands there where its first work has begun and its last is not dry.
      const begun = all(head, (s) => s <= t);
      const dry = all(tail, (s) => after(tail, s) <= t);
      if (begun.length === 0) continue;
      const y = `y${k}_${t}`;
      binary.push(y);
      stays[t]?.push(y);
      rows.push(`${begun.join(' + ')}${dry.length > 0 ? ` - ${dry.join(' - ')}` : ''} - ${y} <= 0`);
    }
  });
  for (const list of stays) if (list.length > bays) rows.push(`${list.join(' + ')} <= ${bays}`);
  const cost = shop.orders.flatMap((order) => {
    const mine = shop.operations.filter((o) => o.order === order.id);
    const last = mine.find((o) => !mine.some((m) => m.needs.includes(o.id))) as Operation;
    return starts(last).flatMap((t) => {
      const end = clock.minuteOf(t + long(last) - 1);
      const late = Math.max(0, Math.floor(end / DAY) - dayMinute(shop.first, order.due) / DAY) * order.weight;
      return late > 0 ? able(last).map((p) => `${late} ${x(last, p, t)}`) : [];
    });
  });
  const text = `Minimize\n obj: ${cost.length > 0 ? cost.join(' + ') : `0 ${binary[0] as string}`}\nSubject To\n${rows.map((r, k) => ` r${k}: ${r}`).join('\n')}\nBinary\n ${binary.join('\n ')}\nEnd`;
  const result = highs.solve(text);
  if (result.Status !== 'Optimal') throw new Error(`The judge says ${result.Status}.`);
  return Math.round(result.ObjectiveValue);
};
