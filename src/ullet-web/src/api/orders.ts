import { useQuery, useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useEffect, useMemo } from "react";
import { say } from "../state/messages";
import { useView } from "../state/view";
import { answered, api, Refused, type Schemas } from "./client";

export type Book = Schemas["BookDto"];
export type BookOrder = Schemas["OrderDto"];
export type BookField = Schemas["FieldDto"];
export type Judged = Schemas["JudgedDto"];
export type OrderWish = Schemas["OrderWish"];
export type FillIn = Schemas["FillIn"];
export type OrderTable = Schemas["TableDto"];
export type HoopingPlan = Schemas["HoopingPlanDto"];
export type Job = Schemas["JobDto"];
export type OrderState = Schemas["OrderState"];

const key = (id: string) => ["orders", id] as const;
const jobsKey = (id: string) => ["jobs", id] as const;

/** So many rows are judged by one request: the first answers come soon. */
const FIRST = 4;
const THEN = 12;

/** The order book of a project, as of a head. */
export function useBook(id: string, head: number) {
  const queries = useQueryClient();
  const book = useQuery({
    queryKey: key(id),
    queryFn: ({ signal }) =>
      answered(api.GET("/api/projects/{id}/orders", { params: { path: { id } }, signal })),
    staleTime: 0,
  });
  const known = book.data?.head;
  useEffect(() => {
    // The project was changed: what was judged of its orders holds no more.
    if (known !== undefined && known !== head) void queries.invalidateQueries({ queryKey: key(id) });
  }, [queries, id, head, known]);
  return book;
}

/** Judges the rows that are not judged yet, a few at a time; true while there are such. */
export function useJudging(id: string, book: Book | undefined): boolean {
  const queries = useQueryClient();
  const waiting = useMemo(
    () => book?.orders.filter((order) => !order.judged).map((order) => order.id) ?? [],
    [book],
  );
  const isFirst = waiting.length === book?.orders.length;
  const chunk = waiting.slice(0, isFirst ? FIRST : THEN).join(" ");
  const head = book?.head;
  useEffect(() => {
    if (!chunk) return;
    const leaving = new AbortController();
    void judge(queries, id, chunk.split(" "), leaving.signal);
    return () => leaving.abort();
  }, [queries, id, head, chunk]);
  return waiting.length > 0;
}

async function judge(queries: QueryClient, id: string, ids: string[], signal: AbortSignal) {
  try {
    const judged = await answered(
      api.POST("/api/projects/{id}/orders/judge", { params: { path: { id } }, body: { ids }, signal }),
    );
    const byId = new Map(judged.map((each) => [each.orderId, each]));
    queries.setQueryData<Book>(
      key(id),
      (now) =>
        now && {
          ...now,
          orders: now.orders.map((order) =>
            order.judged ? order : { ...order, judged: byId.get(order.id) ?? null },
          ),
        },
    );
  } catch (wrong) {
    if (!signal.aborted)
      say(wrong instanceof Refused ? wrong.message : "The orders could not be judged.", "trouble");
  }
}

/** Changes of a book wait for one another. */
const queues = new Map<string, Promise<unknown>>();

/** Changes of a book; each resolves to false when it could not be made, after a sentence said why. */
export function useBookEdits(id: string) {
  const queries = useQueryClient();
  return useMemo(() => {
    const run = (make: () => Promise<Book>): Promise<boolean> => {
      useView.getState().addPending(1);
      const before = queues.get(id) ?? Promise.resolve();
      const next = before
        .then(make)
        .then(async (book) => {
          await queries.cancelQueries({ queryKey: key(id) });
          queries.setQueryData(key(id), book);
          return true;
        })
        .catch((wrong: unknown) => {
          say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
          void queries.invalidateQueries({ queryKey: key(id) });
          return false;
        })
        .finally(() => useView.getState().addPending(-1));
      queues.set(id, next);
      return next;
    };
    const path = { params: { path: { id } } };
    return {
      change: (label: string, set: Partial<OrderWish>[], removed: string[] = [], before?: string) =>
        run(() =>
          answered(
            api.POST("/api/projects/{id}/orders", {
              ...path,
              body: { label, set: set as OrderWish[], removed, before: before ?? null },
            }),
          ),
        ),
      undo: () => run(() => answered(api.POST("/api/projects/{id}/orders/undo", path))),
      redo: () => run(() => answered(api.POST("/api/projects/{id}/orders/redo", path))),
      refresh: () => queries.invalidateQueries({ queryKey: key(id) }),
    };
  }, [queries, id]);
}

/** What would come in of a table, or came. */
export const bringTable = (
  id: string,
  wish: { text?: string; file?: string; targets: string[]; save: boolean },
): Promise<OrderTable> =>
  answered(
    api.POST("/api/projects/{id}/orders/table", {
      params: { path: { id } },
      body: { text: wish.text ?? null, file: wish.file ?? null, targets: wish.targets, save: wish.save },
    }),
  );

/** What is typed, judged before it is kept. */
export const tryValues = (id: string, values: Record<string, string>, signal: AbortSignal): Promise<Judged> =>
  answered(api.POST("/api/projects/{id}/orders/try", { params: { path: { id } }, body: { values }, signal }));

/** The newest job of a book, followed while it goes on. */
export function useJob(id: string): Job | undefined {
  const queries = useQueryClient();
  const jobs = useQuery({
    queryKey: jobsKey(id),
    queryFn: ({ signal }) =>
      answered(api.GET("/api/projects/{id}/orders/jobs", { params: { path: { id } }, signal })),
  });
  const job = jobs.data?.[0];
  const isOn = job?.state === "waiting" || job?.state === "running";
  const jobId = job?.id;
  useEffect(() => {
    if (!isOn || !jobId) return;
    const events = new EventSource(`/api/jobs/${jobId}/events`);
    events.onmessage = (event: MessageEvent<string>) => {
      const now = JSON.parse(event.data) as Job;
      queries.setQueryData<Job[]>(jobsKey(id), (all) => [now, ...(all ?? []).slice(1)]);
      if (now.state === "done" || now.state === "cancelled") {
        events.close();
        void queries.invalidateQueries({ queryKey: key(id) });
      }
    };
    return () => events.close();
  }, [queries, id, jobId, isOn]);
  return job;
}

/** Jobs of a book. */
export function useJobs(id: string) {
  const queries = useQueryClient();
  return useMemo(() => {
    const told = async (call: Promise<Job>) => {
      try {
        const job = await call;
        queries.setQueryData<Job[]>(jobsKey(id), (all) => [
          job,
          ...(all ?? []).filter((each) => each.id !== job.id),
        ]);
        return true;
      } catch (wrong) {
        say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
        return false;
      }
    };
    return {
      begin: (kind: string, orderIds: string[], more: { anew?: boolean; leftOut?: string[] } = {}) =>
        told(
          answered(
            api.POST("/api/projects/{id}/orders/jobs", {
              params: { path: { id } },
              body: { kind, orderIds, anew: more.anew ?? false, leftOut: more.leftOut ?? [] },
            }),
          ),
        ),
      cancel: (jobId: string) =>
        told(answered(api.POST("/api/jobs/{jobId}/cancel", { params: { path: { jobId } } }))),
      resume: (jobId: string) =>
        told(answered(api.POST("/api/jobs/{jobId}/resume", { params: { path: { jobId } } }))),
    };
  }, [queries, id]);
}
