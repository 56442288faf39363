import { describe, expect, it } from "vitest";
import { openRooms } from "./openRooms";

describe("rooms of a stage", () => {
  it("opens the one where the work is", () => {
    const isOpen = openRooms(false, "torque", undefined);
    expect([isOpen("torque"), isOpen("washers")]).toEqual([true, false]);
  });

  it("opens the one that was tapped and folds the other", () => {
    const isOpen = openRooms(false, "torque", { id: "washers", open: true, start: "torque" });
    expect([isOpen("torque"), isOpen("washers")]).toEqual([false, true]);
  });

  it("folds all when the open one is tapped", () => {
    const isOpen = openRooms(false, "torque", { id: "torque", open: false, start: "torque" });
    expect([isOpen("torque"), isOpen("washers")]).toEqual([false, false]);
  });

  it("goes with the work to the next one", () => {
    const isOpen = openRooms(false, "looks", { id: "washers", open: true, start: "torque" });
    expect([isOpen("looks"), isOpen("washers")]).toEqual([true, false]);
  });

  it("opens all where that is wanted, whichever was tapped", () => {
    const isOpen = openRooms(true, "torque", { id: "washers", open: false, start: "torque" });
    expect([isOpen("torque"), isOpen("looks"), isOpen("washers")]).toEqual([true, true, true]);
  });
});
