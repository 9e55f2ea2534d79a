import { create } from "zustand";

/** A request whose computing takes long enough to stand in the server's queue. */
export interface LongWork {
  id: string;
  /** What is computed: "Reading this drawing". */
  what: string;
  /** How many are computed before it; 0 while it is computed itself. */
  place: number;
}

interface Works {
  list: LongWork[];
}

const HEADER = "X-Ullet-Work";
/** Says that this client reads an element as a form and a making, and needs no older shapes beside. */
const SHAPES = ["Ullet-Shapes", "form-and-making"] as const;
/** Answers that come sooner than this are never asked about. */
const PATIENCE_MS = 900;
const LOOK_EVERY_MS = 500;
const BUSY_MS = 200;
const MOST_ROUNDS = 4;

/** The requests of this page that stand in the queue. */
export const useWorks = create<Works>(() => ({ list: [] }));

const waiting = new Set<string>();
let looking = false;

/** Fetches with a name of its own, so that the request can be found in the queue and cancelled there. */
export async function fetchNamed(request: Request): Promise<Response> {
  const id = crypto.randomUUID();
  request.headers.set(HEADER, id);
  request.headers.set(...SHAPES);
  const timer = setTimeout(() => {
    waiting.add(id);
    void look();
  }, PATIENCE_MS);
  try {
    return await fetchAgainWhileBusy(request);
  } finally {
    clearTimeout(timer);
    waiting.delete(id);
    useWorks.setState((state) => ({ list: state.list.filter((work) => work.id !== id) }));
  }
}

/** What is only read is asked for again when another program uses the data just then. */
async function fetchAgainWhileBusy(request: Request): Promise<Response> {
  for (let round = 1; ; round++) {
    if (request.method !== "GET" || round === MOST_ROUNDS) return fetch(request);
    const answer = await fetch(request.clone());
    if (answer.status !== 503) return answer;
    const told = (await answer
      .clone()
      .json()
      .catch(() => null)) as { code?: string } | null;
    if (told?.code !== "database-busy") return answer;
    await new Promise((done) => setTimeout(done, BUSY_MS * round));
  }
}

/** Ends a request at the queue; the server answers it with a sentence. */
export async function cancelWork(id: string) {
  await fetch(`/api/work/${id}`, { method: "DELETE" });
}

async function look() {
  if (looking) return;
  looking = true;
  try {
    while (waiting.size > 0) {
      const answer = await fetch("/api/work");
      const all = answer.ok ? ((await answer.json()) as LongWork[]) : [];
      useWorks.setState({ list: all.filter((work) => waiting.has(work.id)) });
      await new Promise((done) => setTimeout(done, LOOK_EVERY_MS));
    }
  } catch {
    // The server is gone; the requests themselves say so.
  } finally {
    looking = false;
  }
}
