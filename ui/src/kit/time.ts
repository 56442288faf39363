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

/** The browser's own clock, or the one that a spec has put in its place. */
export const time: Clock = {
  now: () => (window.sandbagClock ?? own).now(),
  every: (ms, tick) => (window.sandbagClock ?? own).every(ms, tick),
};
