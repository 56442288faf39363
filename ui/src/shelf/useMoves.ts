import { useMutation, useQueryClient } from "@tanstack/react-query";
import { call } from "../app/api";
import type { NewMove, ShelfItem } from "../app/api";

/** Writes to the shelf's journal; what depends on it is asked anew. */
export function useMoves() {
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: (move: Omit<NewMove, "id">) =>
      call<ShelfItem>("POST", "/shelf/moves", { id: crypto.randomUUID(), ...move }),
    onSuccess: () => {
      void queryClient.invalidateQueries({ queryKey: ["shelf"] });
      void queryClient.invalidateQueries({ queryKey: ["supplies"] });
    },
  });
}
