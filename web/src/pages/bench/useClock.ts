import { useCallback, useEffect, useState } from 'react';
import { dropDraft, readDraft, writeDraft } from '../../data/drafts.ts';
import { FRESH, goOn, isClock, leave, printClock, spentBy, stand, stoodBy, stopsOf } from './clock.ts';
import type { StopCause } from '@rubbet/core/steps';
import type { StepClock } from './clock.ts';

const read = (key: string): StepClock => {
  const kept = readDraft<unknown>(key)?.value;
  return isClock(kept) ? kept : FRESH;
};
const keep = (key: string, clock: StepClock): void => {
  writeDraft(key, { value: clock, base: null, at: new Date().toISOString() });
};

/**
 * A person's time on a step: it runs while the step is open and nothing holds it up, stands while another is looked at, and is
 * there again after a reload.
 * @param key names person, order and step; undefined while there is none
 */
export const useClock = (key: string | undefined) => {
  const [clock, setClock] = useState<StepClock>(FRESH);
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (key === undefined) return;
    const name = `clock:${key}`;
    const before = read(name);
    // What stood still when the page was closed stands still.
    const open = before.cause === undefined ? goOn({ spent: before.spent, stops: before.stops }, Date.now()) : before;
    setClock(open);
    keep(name, open);
    const tick = setInterval(() => setNow(Date.now()), 1000);
    return () => {
      clearInterval(tick);
      const last = read(name);
      if (last !== FRESH) keep(name, last.cause === undefined ? leave(last, Date.now()) : last);
    };
  }, [key]);
  const change = useCallback(
    (next: (c: StepClock) => StepClock) => {
      if (key === undefined) return;
      setClock((c) => {
        const made = next(c);
        keep(`clock:${key}`, made);
        return made;
      });
      setNow(Date.now());
    },
    [key],
  );
  return {
    text: printClock(spentBy(clock, Math.max(now, clock.since ?? 0))),
    stood: printClock(stoodBy(clock, Math.max(now, clock.since ?? 0))),
    cause: clock.cause,
    stand: (cause: StopCause): void => change((c) => stand(c, cause, Date.now())),
    goOn: (): void => change((c) => goOn(c, Date.now())),
    /** What is logged with the step; the clock begins anew then. */
    read: () => ({ minutes: Math.round(spentBy(clock, Date.now()) / 60_000), stops: stopsOf(clock, Date.now()) }),
    reset: (): void => {
      if (key !== undefined) dropDraft(`clock:${key}`);
      setClock({ ...FRESH, since: Date.now() });
    },
  };
};
