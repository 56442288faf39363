import { describe, expect, it, vi } from "vitest";
import { pagesOf } from "./pagesOf";

const pages = (hasNextPage: boolean, ...items: number[][]) => ({
  data: { pages: items.map((each) => ({ items: each })) },
  hasNextPage,
  fetchNextPage: vi.fn(async () => undefined),
});

describe("a list that comes in pages", () => {
  it("is what has come so far, in order", () => {
    expect(pagesOf(pages(false, [1, 2], [3]))).toEqual({ items: [1, 2, 3] });
  });

  it("is empty before the first page", () => {
    expect(pagesOf({ ...pages(false), data: undefined }).items).toEqual([]);
  });

  it("asks for more only where there is more", () => {
    const query = pages(true, [1]);
    const { more } = pagesOf(query);
    more?.();
    expect(query.fetchNextPage).toHaveBeenCalledTimes(1);
    expect("more" in pagesOf(pages(false, [1]))).toBe(false);
  });
});
