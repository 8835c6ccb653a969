"use client";

import {
  columnFilteringFeature,
  createFilteredRowModel,
  createSortedRowModel,
  globalFilteringFeature,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type ColumnDef,
  type Row as TableRow,
  type SortingState,
} from "@tanstack/react-table";
import { ArrowDown, ArrowUp, ArrowUpDown } from "lucide-react";
import { parseAsBoolean, parseAsString, useQueryStates } from "nuqs";
import { NuqsAdapter } from "nuqs/adapters/next/app";
import { useEffect, useMemo, useRef, type ReactNode } from "react";
import { Button } from "./button";

export type Column<Row> = {
  id: string;
  /** What stands above it; one of deeds alone is for the ear. */
  heading: string;
  isHeadingSaid?: boolean;
  cell: (row: Row) => ReactNode;
  /** What it is sorted by, nulls last; a column without is not sorted. */
  sortsBy?: (row: Row) => string | number | null;
  className?: string;
};

type Props<Row> = {
  /** What the list is of, for the ear and for its part of the address. */
  label: string;
  name: string;
  rows: readonly Row[];
  columns: readonly Column<Row>[];
  /** All that can be searched of a row. */
  words: (row: Row) => string;
  /** How a row is laid out as a card on a narrow screen. */
  cardClass: string;
  /** Drawn whole at once: it is a page of something longer already. */
  isWhole?: boolean;
};

/** A list of up to this many rows is seen at a glance: it gets no sorting and no search. */
const MANY = 6;
/** So many rows are drawn at first, and the rest upon a press: each row costs some two kilobytes of a page. */
const AT_FIRST = 40;

const features = tableFeatures({
  rowSortingFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
});

/**
 * A list that can be sorted by its headings and searched, both kept in the address: a table on a
 * wide screen, cards on a narrow one.
 */
export function Listing<Row extends { id: string }>(props: Props<Row>) {
  return (
    <NuqsAdapter>
      <Table {...props} />
    </NuqsAdapter>
  );
}

function Table<Row extends { id: string }>({
  label,
  name,
  rows,
  columns,
  words,
  cardClass,
  isWhole = false,
}: Props<Row>) {
  const [{ sort, find, all }, setAddress] = useQueryStates(
    {
      sort: parseAsString.withDefault(""),
      find: parseAsString.withDefault(""),
      all: parseAsBoolean.withDefault(false),
    },
    {
      urlKeys: { sort: `${name}-sort`, find: `${name}-find`, all: `${name}-all` },
      history: "replace",
    },
  );
  const sorted = sort.replace(/^-/, "");
  const isDown = sort.startsWith("-");
  const isMany = rows.length > MANY;
  const data = useMemo(() => [...rows], [rows]);
  const definitions = useMemo(
    () =>
      columns.map(({ id, sortsBy }): ColumnDef<typeof features, Row> => ({
        id,
        accessorFn: (row) => sortsBy?.(row) ?? undefined,
        enableSorting: sortsBy !== undefined,
        sortUndefined: "last",
        sortFn: (a, b) => inOrder(a.getValue(id), b.getValue(id)),
      })),
    [columns],
  );
  const sorting: SortingState = useMemo(
    () => (columns.some(({ id }) => id === sorted) ? [{ id: sorted, desc: isDown }] : []),
    [columns, sorted, isDown],
  );
  const table = useTable({
    features,
    data,
    columns: definitions,
    getRowId: (row) => row.id,
    state: { sorting, globalFilter: find },
    getColumnCanGlobalFilter: () => true,
    globalFilterFn: (row: TableRow<typeof features, Row>, _: string, typed: string) =>
      says(words(row.original), typed),
  });
  const found = table.getRowModel().rows;
  const shown = all || isWhole ? found : found.slice(0, AT_FIRST);
  const rest = found.length - shown.length;
  const body = useRef<HTMLTableSectionElement>(null);
  const wantsRest = useRef(false);
  // The press is gone once it has done its work: whoever pressed it goes on at the first row it brought.
  useEffect(() => {
    if (!all || !wantsRest.current) return;
    wantsRest.current = false;
    body.current?.rows[AT_FIRST]?.querySelector<HTMLElement>("a, button")?.focus();
  }, [all]);
  /** Up, then down, then as the list came. */
  const sortBy = (id: string) =>
    void setAddress({ sort: sorted !== id ? id : isDown ? null : `-${id}` });
  return (
    <div>
      {isMany && (
        <Tools
          {...{ label, columns, sort, find }}
          onSort={(to) => void setAddress({ sort: to || null })}
          onFind={(to) => void setAddress({ find: to || null })}
        />
      )}
      <table className="w-full border-collapse text-left max-wide:block" aria-label={label}>
        <thead className="max-wide:sr-only">
          <tr className="border-b border-ink">
            {columns.map((column) => (
              <Heading
                key={column.id}
                column={column}
                sorts={sorted === column.id ? (isDown ? "descending" : "ascending") : "none"}
                onSort={isMany && column.sortsBy ? () => sortBy(column.id) : undefined}
              />
            ))}
          </tr>
        </thead>
        <tbody ref={body} className="max-wide:block">
          {shown.map((row) => (
            <tr
              key={row.id}
              className={`border-b border-rule align-baseline max-wide:grid max-wide:py-2.5 ${cardClass}`}
            >
              {columns.map(({ id, cell, className = "" }) => (
                <td key={id} className={`wide:py-2.5 wide:pr-5 wide:last:pr-0 ${className}`}>
                  {cell(row.original)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {rest > 0 && (
        <Button
          className="mt-3"
          onClick={() => {
            wantsRest.current = true;
            void setAddress({ all: true });
          }}
        >
          Show the other {rest}
        </Button>
      )}
      {shown.length === 0 && rows.length > 0 && (
        <p role="status" className="py-3 text-second">
          Nothing here says “{find}”.
        </p>
      )}
    </div>
  );
}

function inOrder(a: unknown, b: unknown): number {
  if (typeof a === "number" && typeof b === "number") return a - b;
  return String(a).localeCompare(String(b), "en", { numeric: true });
}

/** Whether a text holds every word that was typed, wherever it stands. */
function says(text: string, typed: string): boolean {
  const low = text.toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => low.includes(word));
}

const ARROWS = { ascending: ArrowUp, descending: ArrowDown, none: ArrowUpDown } as const;

function Heading<Row>({
  column: { heading, isHeadingSaid = true, className = "" },
  sorts,
  onSort,
}: {
  column: Column<Row>;
  sorts: "ascending" | "descending" | "none";
  onSort: (() => void) | undefined;
}) {
  const Arrow = ARROWS[sorts];
  return (
    <th
      scope="col"
      aria-sort={onSort ? sorts : undefined}
      className={`pr-5 pb-1 text-[0.9375rem] font-normal text-second last:pr-0 ${className}`}
    >
      {/* Out of sight it is read and cannot be stood on: it is sorted above the cards then. */}
      {onSort && <span className="wide:hidden">{heading}</span>}
      {onSort ? (
        <button
          type="button"
          onClick={onSort}
          data-sorts={sorts}
          className="group flex min-h-8 items-center gap-1 hover:text-ink data-[sorts$=scending]:font-semibold data-[sorts$=scending]:text-ink max-wide:hidden"
        >
          {heading}
          <Arrow
            size={15}
            aria-hidden="true"
            className="opacity-50 group-hover:opacity-100 group-data-[sorts$=scending]:opacity-100"
          />
        </button>
      ) : (
        <span className={isHeadingSaid ? "flex min-h-8 items-center" : "sr-only"}>{heading}</span>
      )}
    </th>
  );
}

const TOOL = "min-h-11 rounded-sm border-[1.5px] border-second bg-surface px-3 py-2 text-ink";

/** Searching, and sorting where the headings are out of sight. */
function Tools<Row>({
  label,
  columns,
  sort,
  find,
  onSort,
  onFind,
}: {
  label: string;
  columns: readonly Column<Row>[];
  sort: string;
  find: string;
  onSort: (to: string) => void;
  onFind: (to: string) => void;
}) {
  const sortable = columns.filter(({ sortsBy }) => sortsBy);
  return (
    <div className="flex flex-wrap gap-3 py-3">
      <input
        type="search"
        aria-label={`Only those that say, of: ${label}`}
        placeholder="Only those that say…"
        value={find}
        onChange={(event) => onFind(event.target.value)}
        className={`${TOOL} w-full max-w-72 max-wide:min-w-0 max-wide:flex-1`}
      />
      <select
        aria-label={`Sorted by, of: ${label}`}
        value={sort}
        onChange={(event) => onSort(event.target.value)}
        className={`${TOOL} wide:hidden`}
      >
        <option value="">In order</option>
        {sortable.map(({ id, heading }) => (
          <option key={id} value={id}>
            By {heading.toLowerCase()}
          </option>
        ))}
      </select>
    </div>
  );
}
