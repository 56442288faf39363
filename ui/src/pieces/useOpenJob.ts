import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { answer, client } from "../server/client";

interface Opening {
  circuitId: string;
  /** Another job is open on the circuit, and this one is to stand beside it. */
  beside?: boolean;
  /** The re-check that it is opened for. */
  follows?: string;
}

/** Opens a job on a circuit and goes to its first question; a re-check to what is looked at again. */
export function useOpenJob() {
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: ({ circuitId, beside = false, follows }: Opening) =>
      answer(
        client.POST("/jobs", {
          body: { id: crypto.randomUUID(), circuit_id: circuitId, beside, ...(follows ? { follows } : {}) },
        }),
      ),
    onSuccess: (job, { follows }) => {
      void queryClient.invalidateQueries({ queryKey: ["jobs"] });
      void navigate(`/jobs/${job.id}/${follows ? job.current : "ask"}`);
    },
  });
}
