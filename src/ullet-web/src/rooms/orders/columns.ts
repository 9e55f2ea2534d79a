import type { BookField, BookOrder, OrderWish } from "../../api/orders";

/** A column of the grid. */
export interface Column {
  id: string;
  label: string;
  /** Pixels. */
  width: number;
  /** What may be chosen; nothing where it is typed freely. */
  options: string[];
  /** What is said of an order in it. */
  of: (order: BookOrder) => string;
  /** A change of the order that says something else. */
  set: (text: string) => Partial<OrderWish> | null;
  /** Shown pale where nothing is typed. */
  hint?: string | null;
}

const STATES = ["new", "proofed", "made", "sewn", "sent"];

/** The columns of a book: number, fill-ins, and the rest. */
export function columnsOf(fields: BookField[]): Column[] {
  return [
    {
      id: "number",
      label: "Number",
      width: 66,
      options: [],
      of: (order) => order.number,
      set: (number) => ({ number }),
    },
    ...fields.map((field): Column => ({
      id: field.id,
      label: field.label,
      width: field.options.length ? 120 : 160,
      options: field.options,
      hint: field.options.length ? field.example : null,
      of: (order) => order.values[field.id] ?? "",
      set: (text) => ({ values: { [field.id]: text } }),
    })),
    {
      id: "quantity",
      label: "How many",
      width: 78,
      options: [],
      of: (order) => String(order.quantity),
      set: (text) => (/^\d{1,4}$/.test(text.trim()) ? { quantity: Number(text) } : null),
    },
    {
      id: "reference",
      label: "Reference",
      width: 92,
      options: [],
      of: (order) => order.reference,
      set: (reference) => ({ reference }),
    },
    {
      id: "wantedBy",
      label: "Wanted by",
      width: 98,
      options: [],
      of: (order) => order.wantedBy,
      set: (wantedBy) => ({ wantedBy }),
    },
    {
      id: "note",
      label: "Note",
      width: 108,
      options: [],
      of: (order) => order.note,
      set: (note) => ({ note }),
    },
    {
      id: "state",
      label: "State",
      width: 84,
      options: STATES,
      of: (order) => order.state,
      set: (state) => (STATES.includes(state) ? { state: state as OrderWish["state"] } : null),
    },
  ];
}
