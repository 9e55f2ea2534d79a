/** The kinds of thread as they are chosen. */
export const THREAD_KINDS = [
  { value: "polyester", label: "polyester" },
  { value: "rayon", label: "rayon" },
  { value: "cotton", label: "cotton" },
  { value: "metallic", label: "metallic" },
];
