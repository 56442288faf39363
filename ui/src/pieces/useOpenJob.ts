import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { answer, client } from "../server/client";

interface Opening {
  circuitId: string;
  /** Another job is open on the circuit, and this one is to stand beside it. */
  beside?: boolean;
}

/** Opens a job on a circuit and goes to its first question. */
export function useOpenJob() {
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: ({ circuitId, beside = false }: Opening) =>
      answer(client.POST("/jobs", { body: { id: crypto.randomUUID(), circuit_id: circuitId, beside } })),
    onSuccess: (job) => {
      void queryClient.invalidateQueries({ queryKey: ["jobs"] });
      void navigate(`/jobs/${job.id}/ask`);
    },
  });
}
