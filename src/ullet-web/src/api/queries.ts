import { useQuery } from "@tanstack/react-query";
import { answered, api } from "./client";

export const keys = {
  shelf: ["shelf"] as const,
  scene: (id: string) => ["scene", id] as const,
  catalogue: ["catalogue"] as const,
  fonts: ["fonts", "list"] as const,
};

/** All projects, newest first. */
export function useShelf() {
  return useQuery({ queryKey: keys.shelf, queryFn: () => answered(api.GET("/api/projects")) });
}

/** What is drawn of a project's head. */
export function useScene(id: string) {
  return useQuery({
    queryKey: keys.scene(id),
    queryFn: ({ signal }) =>
      answered(api.GET("/api/projects/{id}/scene", { params: { path: { id } }, signal })),
  });
}

/** The fonts that may be chosen. */
export function useFonts() {
  return useQuery({ queryKey: keys.fonts, queryFn: () => answered(api.GET("/api/fonts")) });
}

/** Hoops, shapes, methods and ranges; the same for all projects. */
export function useCatalogue() {
  return useQuery({
    queryKey: keys.catalogue,
    queryFn: () => answered(api.GET("/api/catalogue")),
    staleTime: Infinity,
  });
}
