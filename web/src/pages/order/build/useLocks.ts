import { useState } from 'react';

/** Dimensions that are locked on this screen: kept with the order's number, so that they are still locked after a reload. */
export const useLocks = (orderId: number) => {
  const key = `rubbet-locks-${orderId}`;
  const [locks, setLocks] = useState<readonly string[]>(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
      return Array.isArray(kept) ? kept.filter((k): k is string => typeof k === 'string') : [];
    } catch {
      return [];
    }
  });
  const toggle = (param: string): void => {
    const next = locks.includes(param) ? locks.filter((k) => k !== param) : [...locks, param];
    setLocks(next);
    localStorage.setItem(key, JSON.stringify(next));
  };
  return { locks, toggle };
};
