import type { BookOrder, OrderWish } from "../../api/orders";
import type { Column } from "./columns";

/** One text in a column of several rows: what that changes. */
export function filledDown(
  rows: BookOrder[],
  range: { from: number; to: number },
  column: Column,
  text: string,
): Partial<OrderWish>[] {
  return rows.slice(range.from, range.to + 1).flatMap((order) => {
    const change = column.of(order) === text ? null : column.set(text);
    return change ? [{ id: order.id, ...change }] : [];
  });
}

/** Cells from a spreadsheet, laid from one cell to the right and down; those beyond the table are left out. */
export function pasted(
  text: string,
  rows: BookOrder[],
  row: number,
  columns: Column[],
  column: number,
): Partial<OrderWish>[] {
  const cells = text
    .replace(/\r\n?/g, "\n")
    .replace(/\n$/, "")
    .split("\n")
    .map((line) => line.split("\t"));
  return cells.flatMap((line, i) => {
    const order = rows[row + i];
    if (!order) return [];
    const change = line.reduce<Partial<OrderWish>>((all, cell, j) => {
      const own = columns[column + j]?.set(cell.trim());
      return own ? { ...all, ...own, values: { ...all.values, ...own.values } } : all;
    }, {});
    return Object.keys(change).length ? [{ id: order.id, ...change }] : [];
  });
}
