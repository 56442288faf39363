import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answer, client } from "../server/client";
import { learnerQuery } from "../server/queries";

const NAME = "sandbag.practice.name";

/** Who practises here, and what came of it: the shop keeps it, by name. */
export function useResults() {
  const [name, setName] = useState(() => localStorage.getItem(NAME) ?? "");
  const queries = useQueryClient();
  const learner = useQuery({ ...learnerQuery(name), enabled: name !== "" });
  const keep = useMutation({
    mutationFn: ({ run, isExam }: { run: string; isExam: boolean }) =>
      answer(
        client.POST("/practice/runs/{id}/results", {
          params: { path: { id: run } },
          body: { name, exam: isExam },
        }),
      ),
    onSuccess: (kept) => queries.setQueryData(learnerQuery(name).queryKey, kept),
  });
  return {
    name,
    learner: name === "" ? undefined : learner.data,
    setName: (next: string) => {
      localStorage.setItem(NAME, next.trim());
      setName(next.trim());
    },
    /** Without a name nothing is kept. */
    keep: (run: string, isExam: boolean) => {
      if (name !== "") keep.mutate({ run, isExam });
    },
  };
}
