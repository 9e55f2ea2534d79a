import { CircleAlert, CircleCheck, Lightbulb, OctagonAlert } from "lucide-react";

/** How bad a finding is, as a picture with a name. */
export function LevelIcon({ level }: { level: string }) {
  if (level === "stop")
    return <OctagonAlert size={17} className="mt-0.5 shrink-0 text-madder" aria-label="Stop" />;
  if (level === "warn")
    return <CircleAlert size={17} className="mt-0.5 shrink-0 text-madder" aria-label="Warning" />;
  if (level === "tip")
    return <Lightbulb size={17} className="mt-0.5 shrink-0 text-indigo" aria-label="Tip" />;
  return <CircleCheck size={17} className="shrink-0 text-verdigris" aria-hidden />;
}
