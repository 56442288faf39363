/** What time it is for the page, ms, and what is done again and again. */
interface Clock {
  now: () => number;
  /** @returns stops it */
  every: (ms: number, tick: () => unknown) => () => void;
}

declare global {
  interface Window {
    /** A clock that a spec moves by hand, so that nothing it looks at rests on how fast the machine is. */
    sandbagClock?: Clock;
  }
}

const own: Clock = {
  now: () => Date.now(),
  every: (ms, tick) => {
    const timer = setInterval(tick, ms);
    return () => clearInterval(timer);
  },
};

/** Two clocks that agree, ms: a network takes its time, and the server tells whole seconds. */
const AGREES = 5000;
let ahead = 0;

/** Sets the page's time by the server's, so that a wait ends when the server says so, whatever the device's clock. */
export function setTime(serverSaid: number): void {
  const off = serverSaid - Date.now();
  ahead = Math.abs(off) > AGREES ? off : 0;
}

/** The browser's own clock set by the server's, or the one that a spec has put in its place. */
export const time: Clock = {
  now: () => (window.sandbagClock ?? own).now() + ahead,
  every: (ms, tick) => (window.sandbagClock ?? own).every(ms, tick),
};
