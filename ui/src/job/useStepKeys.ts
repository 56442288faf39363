import type { BuildPart } from "../server/api";
import { useHotkeys } from "../kit/useHotkeys";

interface Step {
  isOpen: boolean;
  /** The step may be done now. */
  isReady: boolean;
  /** The part whose facing holds it up. */
  asked: BuildPart | undefined;
  onDone: () => void;
  onFace: (part: string, faces: string) => void;
}

/** Space does the step at hand, the digits answer which way its part faces. */
export function useStepKeys({ isOpen, isReady, asked, onDone, onFace }: Step): void {
  const face = (index: number) => {
    const option = asked?.options?.[index];
    if (asked && option) onFace(asked.id, option.id);
  };
  useHotkeys(
    isOpen
      ? {
          " ": isReady ? onDone : undefined,
          "1": asked ? () => face(0) : undefined,
          "2": asked ? () => face(1) : undefined,
        }
      : {},
  );
}
