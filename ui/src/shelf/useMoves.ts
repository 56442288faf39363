import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answer, client } from "../server/client";
import type { NewMove } from "../server/api";

/** Writes to the shelf's journal; what depends on it is asked again. */
export function useMoves() {
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: (move: Omit<NewMove, "id">) =>
      answer(client.POST("/shelf/moves", { body: { id: crypto.randomUUID(), ...move } })),
    onSuccess: () => {
      void queryClient.invalidateQueries({ queryKey: ["shelf"] });
      void queryClient.invalidateQueries({ queryKey: ["supplies"] });
    },
  });
}
