import { useEffect, useState } from 'react';

/** Seconds since a step was opened, as `0:11:40`. */
export const printClock = (seconds: number): string => {
  const pad = (n: number): string => String(n).padStart(2, '0');
  return `${Math.floor(seconds / 3600)}:${pad(Math.floor(seconds / 60) % 60)}:${pad(seconds % 60)}`;
};

/** Runs from the moment a step is opened. */
export const useClock = (key: string | undefined) => {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    const from = Date.now();
    setSeconds(0);
    const tick = setInterval(() => setSeconds(Math.floor((Date.now() - from) / 1000)), 1000);
    return () => clearInterval(tick);
  }, [key]);
  return { seconds, text: printClock(seconds) };
};
