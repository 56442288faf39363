import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { FileTrigger } from "react-aria-components";
import { Button } from "../kit/Button";
import { Panel, Quiet, Row } from "../kit/layout";
import { Table } from "../kit/Table";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import type { ListImported } from "../server/api";
import { answer, client } from "../server/client";

interface Props {
  /** What the list is of, and where it goes. */
  of: "machines" | "shelf";
  title: string;
  /** Columns it may have, in words. */
  columns: string;
}

const DOES = { add: "adds", pass_over: "is here already", refuse: "wrong" } as const;
const MARKS = { add: "good", pass_over: "quiet", refuse: "stop" } as const;

const body = (text: string) => ({ body: text, bodySerializer: (sent: string) => sent, headers: CSV });
const CSV = { "content-type": "text/csv" };

/** A list out of a spreadsheet: what each line would do first, then all of it is imported or nothing. */
export function ListImport({ of, title, columns }: Props) {
  const [text, setText] = useState<string>();
  const queryClient = useQueryClient();
  const send = useMutation({
    mutationFn: ({ list, take }: { list: string; take: boolean }): Promise<ListImported> =>
      answer(
        of === "machines"
          ? client.POST("/machines/lists", { ...body(list), params: { query: { take } } })
          : client.POST("/shelf/lists", { ...body(list), params: { query: { take } } }),
      ),
    onSuccess: (list) => {
      if (list.taken) void queryClient.invalidateQueries();
    },
  });
  const read = async (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    const list = await file.text();
    setText(list);
    send.mutate({ list, take: false });
  };
  const list = send.data;
  return (
    <Panel>
      <h2>{title}</h2>
      <Quiet>{columns}</Quiet>
      <Row $gap={1}>
        <FileTrigger acceptedFileTypes={[".csv", "text/csv"]} onSelect={(files) => void read(files)}>
          <Button>Look through a CSV file</Button>
        </FileTrigger>
        {list && !list.taken && text !== undefined && list.counts.refuse === 0 && list.counts.add > 0 ? (
          <Button tone="act" onPress={() => send.mutate({ list: text, take: true })}>
            {`Import ${list.counts.add}`}
          </Button>
        ) : null}
      </Row>
      {send.isError ? (
        <Notice tone="warn" live>
          {send.error.message}
        </Notice>
      ) : null}
      {list?.taken ? (
        <Notice tone="good" live>
          {`${list.counts.add} imported.`}
        </Notice>
      ) : null}
      {list && !list.taken ? (
        <>
          {list.counts.refuse > 0 ? (
            <Notice tone="warn">
              {`${list.counts.refuse === 1 ? "1 error" : `${list.counts.refuse} errors`}. Nothing is imported until the file is corrected.`}
            </Notice>
          ) : null}
          <Table aria-label="What each line would do">
            <thead>
              <tr>
                <th>Line</th>
                <th className="words">Name</th>
                <th className="words">Does</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {list.rows.map((row) => (
                <tr key={row.line}>
                  <td>{row.line}</td>
                  <td className="words">{row.name}</td>
                  <td className="words">
                    <Mark kind={MARKS[row.does]}>{DOES[row.does]}</Mark>
                  </td>
                  <td className="words">{row.says}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      ) : null}
    </Panel>
  );
}
