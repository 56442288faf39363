import { useLayoutEffect, useRef } from "react";
import type { ComponentPropsWithoutRef } from "react";
import styled from "styled-components";
import { PHONE } from "./tokens";

const Face = styled.table`
  width: 100%;
  border-collapse: collapse;
  th,
  td {
    padding: 0.45rem 0.7rem;
    @media (max-width: 60rem) {
      padding: 0.45rem 0.35rem;
    }
    text-align: right;
    border-bottom: 1px solid ${(p) => p.theme.line};
    vertical-align: baseline;
    white-space: nowrap;
  }
  .words,
  tbody:first-child td:first-child {
    white-space: normal;
  }
  th {
    font-weight: 600;
    color: ${(p) => p.theme.quiet};
    font-size: 0.9rem;
  }
  th:first-child,
  td:first-child,
  .words {
    text-align: left;
  }
  @media ${PHONE} {
    &,
    tbody,
    tr,
    td {
      display: block;
    }
    thead {
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
    tr {
      padding: 0.4rem 0;
      border-bottom: 1px solid ${(p) => p.theme.line};
    }
    tbody td {
      display: flex;
      flex-wrap: wrap;
      justify-content: space-between;
      gap: 0 1rem;
      padding: 0.15rem 0.35rem;
      border: 0;
      white-space: normal;
    }
    td:empty {
      display: none;
    }
    td[data-label]::before {
      content: attr(data-label);
      color: ${(p) => p.theme.quiet};
    }
  }
`;

const PARTS = {
  table: "table",
  thead: "rowgroup",
  tbody: "rowgroup",
  tr: "row",
  th: "columnheader",
  td: "cell",
};

/** Each cell is told what its column is called, and stays a cell where rows are drawn one under the other. */
function label(table: HTMLTableElement) {
  const heads = [...table.querySelectorAll("thead th")].map((head) => head.textContent ?? "");
  for (const [tag, role] of Object.entries(PARTS))
    for (const part of [table, ...table.querySelectorAll(tag)])
      if (part.matches(tag)) part.setAttribute("role", role);
  for (const row of table.querySelectorAll("tbody tr"))
    [...row.children].forEach((cell, place) => {
      if (place > 0 && heads[place]) cell.setAttribute("data-label", heads[place]);
    });
}

/** A table; on a phone each row is a block of its own, every figure beside the name of its column. */
export function Table(props: ComponentPropsWithoutRef<"table">) {
  const own = useRef<HTMLTableElement>(null);
  useLayoutEffect(() => {
    const table = own.current;
    if (!table) return undefined;
    label(table);
    const watch = new MutationObserver(() => label(table));
    watch.observe(table, { childList: true, subtree: true });
    return () => watch.disconnect();
  }, []);
  return <Face ref={own} {...props} />;
}
