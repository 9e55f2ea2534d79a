import { useQuery, type QueryClient } from "@tanstack/react-query";
import type { MapKind } from "../state/view";
import { answered, api, type Scene, type SketchWay } from "./client";

export const keys = {
  shelf: ["shelf"] as const,
  room: ["room"] as const,
  scene: (id: string) => ["scene", id] as const,
  form: (id: string, elementId: string, head: number) => ["form", id, elementId, head] as const,
  map: (id: string, kind: string, head: number) => ["map", id, kind, head] as const,
  exports: (id: string, head: number) => ["exports", id, head] as const,
  catalogue: ["catalogue"] as const,
  patterns: ["patterns"] as const,
  fonts: ["fonts", "list"] as const,
  stash: ["stash"] as const,
  met: ["met"] as const,
  revisions: (id: string, head: number) => ["revisions", id, head] as const,
  handed: (id: string) => ["handed", id] as const,
};

/** What is asked of the shelf; what is left out asks for all. */
export interface ShelfAsked {
  search?: string;
  tag?: string;
  set?: string;
  sort?: string;
}

/** The projects that answer to what is asked; those of the last question until they come.
 * @param enabled false to ask nothing. */
export function useShelf(asked: ShelfAsked = {}, enabled = true) {
  return useQuery({
    enabled,
    queryKey: [...keys.shelf, "list", asked],
    queryFn: ({ signal }) => answered(api.GET("/api/projects", { params: { query: asked }, signal })),
    placeholderData: (before) => before,
  });
}

/** Tags and sets of the shelf, and how much lies on it and in the bin. */
export function useShelfLabels() {
  return useQuery({
    queryKey: [...keys.shelf, "labels"],
    queryFn: () => answered(api.GET("/api/shelf/labels")),
  });
}

/** What lies in the bin. */
export function useBin() {
  return useQuery({
    queryKey: [...keys.shelf, "bin"],
    queryFn: () => answered(api.GET("/api/bin")),
    staleTime: 0,
  });
}

/** All states of a project, as of a head. */
export function useRevisions(id: string, head: number) {
  return useQuery({
    queryKey: keys.revisions(id, head),
    queryFn: () => answered(api.GET("/api/projects/{id}/revisions", { params: { path: { id } } })),
    placeholderData: (before, query) => (query?.queryKey[1] === id ? before : undefined),
  });
}

/** What would be in the packet of a head, and what its folder is called. */
export function usePacket(id: string, head: number) {
  return useQuery({
    queryKey: ["packet", id, head],
    queryFn: ({ signal }) =>
      answered(api.GET("/api/projects/{id}/packet", { params: { path: { id } }, signal })),
    retry: false,
  });
}

/** What was handed out of a project. */
export function useHandedOut(id: string, head: number) {
  return useQuery({
    queryKey: [...keys.handed(id), head],
    queryFn: () => answered(api.GET("/api/projects/{id}/handed-out", { params: { path: { id } } })),
    staleTime: 0,
    // What a link of the browser saves is told to nobody here.
    refetchInterval: 4000,
    placeholderData: (before, query) => (query?.queryKey[1] === id ? before : undefined),
  });
}

/** The cloths of the stash that a search finds. */
export function useStashCloths(search: string) {
  return useQuery({
    queryKey: [...keys.stash, "cloths", search],
    queryFn: () => answered(api.GET("/api/stash/cloths", { params: { query: { search } } })),
    placeholderData: (before) => before,
  });
}

/** The threads of the stash that a search finds. */
export function useStashThreads(search: string) {
  return useQuery({
    queryKey: [...keys.stash, "threads", search],
    queryFn: () => answered(api.GET("/api/stash/threads", { params: { query: { search } } })),
    placeholderData: (before) => before,
  });
}

/** The threads of the stash nearest to a colour. */
export function useNearThreads(colour: string, search: string, most: number) {
  return useQuery({
    queryKey: [...keys.stash, "near", colour, search, most],
    queryFn: () =>
      answered(api.GET("/api/stash/threads/near", { params: { query: { colour, search, most } } })),
    placeholderData: (before) => before,
  });
}

/** The pages of the help. */
export function useHelpContents() {
  return useQuery({
    queryKey: ["help", "contents"],
    queryFn: () => answered(api.GET("/api/help")),
    staleTime: Infinity,
  });
}

/** A page of the help. */
export function useHelpPage(page: string) {
  return useQuery({
    queryKey: ["help", "page", page],
    queryFn: () => answered(api.GET("/api/help/pages/{page}", { params: { path: { page } } })),
    staleTime: Infinity,
    retry: false,
  });
}

/** The sections of the help that a text finds; nothing for no text. */
export function useHelpSearch(text: string) {
  return useQuery({
    queryKey: ["help", "search", text],
    queryFn: () => answered(api.GET("/api/help/search", { params: { query: { text } } })),
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
}

/** The stages that need not be explained any more. */
export function useMet() {
  return useQuery({ queryKey: keys.met, queryFn: () => answered(api.GET("/api/met")), staleTime: Infinity });
}

/** What takes room in the data folder. */
export function useRoom() {
  return useQuery({ queryKey: keys.room, queryFn: () => answered(api.GET("/api/room")), staleTime: 0 });
}

/** What is drawn of a project's head. */
export function useScene(id: string) {
  return useQuery({
    queryKey: keys.scene(id),
    queryFn: ({ signal }) => readScene(id, signal),
  });
}

const readScene = (id: string, signal: AbortSignal) =>
  answered(api.GET("/api/projects/{id}/scene", { params: { path: { id } }, signal }));

/** Reads a project's scene anew. */
export function fetchScene(queries: QueryClient, id: string): Promise<Scene> {
  return queries.fetchQuery({
    queryKey: keys.scene(id),
    queryFn: ({ signal }) => readScene(id, signal),
    staleTime: 0,
  });
}

/** The nodes and the edge of one element, as of a head; what was there before stays until it comes. */
export function useForm(id: string, elementId: string | null, head: number) {
  return useQuery({
    queryKey: keys.form(id, elementId ?? "", head),
    queryFn: ({ signal }) =>
      answered(
        api.GET("/api/projects/{id}/elements/{elementId}/form", {
          params: { path: { id, elementId: elementId ?? "" } },
          signal,
        }),
      ),
    enabled: elementId !== null,
    placeholderData: (before, query) => (query?.queryKey[2] === elementId ? before : undefined),
    gcTime: 10_000,
    retry: false,
  });
}

/** A map of the whole design, as of a head; null asks for none. */
export function useMap(id: string, kind: MapKind | null, head: number) {
  return useQuery({
    queryKey: keys.map(id, kind ?? "", head),
    queryFn: ({ signal }) =>
      answered(
        api.GET("/api/projects/{id}/maps/{kind}", { params: { path: { id, kind: kind ?? "" } }, signal }),
      ),
    enabled: kind !== null,
    placeholderData: (before, query) => (query?.queryKey[2] === kind ? before : undefined),
    gcTime: 10_000,
  });
}

/** The cut files that were handed out, held against a head. */
export function useExports(id: string, head: number) {
  return useQuery({
    queryKey: keys.exports(id, head),
    queryFn: ({ signal }) =>
      answered(api.GET("/api/projects/{id}/exports", { params: { path: { id } }, signal })),
    placeholderData: (before, query) => (query?.queryKey[1] === id ? before : undefined),
  });
}

/** The fonts that may be chosen. */
export function useFonts() {
  return useQuery({ queryKey: keys.fonts, queryFn: () => answered(api.GET("/api/fonts")) });
}

/** The patterns that a project may be made from. */
export function usePatterns() {
  return useQuery({
    queryKey: keys.patterns,
    queryFn: () => answered(api.GET("/api/patterns")),
    staleTime: Infinity,
  });
}

/** The small drawings that a search finds; those of the last search until they come. */
export function useSketches(search: string) {
  return useQuery({
    queryKey: ["sketches", search],
    queryFn: () => answered(api.GET("/api/sketches", { params: { query: { search } } })),
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
}

/** What becomes of a small drawing at a size, mm, in words. */
export function useSketchFit(sketchId: string | undefined, way: SketchWay, size: number) {
  return useQuery({
    queryKey: ["sketches", "fit", sketchId, way, size],
    queryFn: () =>
      answered(
        api.GET("/api/sketches/{sketchId}/fit", {
          params: { path: { sketchId: sketchId ?? "" }, query: { way, size } },
        }),
      ),
    enabled: sketchId !== undefined,
    staleTime: Infinity,
  });
}

/** Hoops, shapes, methods and ranges; the same for all projects. */
export function useCatalogue() {
  return useQuery({
    queryKey: keys.catalogue,
    queryFn: () => answered(api.GET("/api/catalogue")),
    staleTime: Infinity,
  });
}
