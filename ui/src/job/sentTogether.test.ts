import { expect, test } from "vitest";
import { rememberTogether, sentWith } from "./sentTogether";

test("an entry that was sent alone stands alone", () => {
  rememberTogether(["a"]);
  expect(sentWith("a", ["x", "a"])).toEqual(["a"]);
});

test("what one answer sent is taken back together, the newest first, but for what is gone already", () => {
  rememberTogether(["b", "c", "d"]);
  expect(sentWith("d", ["a", "b", "c", "d"])).toEqual(["d", "c", "b"]);
  expect(sentWith("c", ["a", "b", "c"])).toEqual(["c", "b"]);
});
