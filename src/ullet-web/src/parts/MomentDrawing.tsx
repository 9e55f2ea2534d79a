import { useQuery } from "@tanstack/react-query";
import { Refused } from "../api/client";

interface Props {
  projectId: string;
  /** The state that it is drawn of. */
  head: number | string;
  stepKey: string;
  hooping?: string;
  width: number;
  height: number;
  className?: string;
}

/** What hands or machine do at a step, drawn by the core; its words stand in the drawing for whoever can't see it. */
export function MomentDrawing({ projectId, head, stepKey, hooping, width, height, className }: Props) {
  const drawn = useQuery({
    queryKey: ["moment", projectId, head, stepKey, hooping, width, height],
    staleTime: Infinity,
    queryFn: async ({ signal }) => {
      const query = new URLSearchParams({ step: stepKey, width: String(width), height: String(height) });
      if (hooping) query.set("hooping", hooping);
      const answer = await fetch(`/api/projects/${projectId}/moment.svg?${query}`, { signal });
      if (!answer.ok) throw new Refused("This step could not be drawn.", "moment-missing");
      return answer.text();
    },
  });
  if (drawn.isError) return <p className="text-[14px] text-madder">{drawn.error.message}</p>;
  return (
    <div
      style={{ aspectRatio: `${width} / ${height}` }}
      className={`moment overflow-hidden rounded-card border border-line bg-white p-1 ${className ?? ""}`}
      dangerouslySetInnerHTML={{ __html: drawn.data ?? "" }}
    />
  );
}
