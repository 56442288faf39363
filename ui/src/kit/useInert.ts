import { useEffect } from "react";

/** What has data-behind is out of reach of Tab and of a screen reader while a view fills the screen. */
export function useInert(): void {
  useEffect(() => {
    const behind = [...document.querySelectorAll<HTMLElement>("[data-behind]")];
    behind.forEach((each) => (each.inert = true));
    return () => behind.forEach((each) => (each.inert = false));
  }, []);
}
