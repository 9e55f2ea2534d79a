import { CircleAlert, CircleCheck, Lightbulb, OctagonAlert } from "lucide-react";
import { Popover } from "radix-ui";
import { useNavigate } from "react-router";
import { useEdits } from "../api/edits";
import type { Finding, Scene } from "../api/client";
import { Button, buttonClass } from "../parts/Button";
import { useView } from "../state/view";

interface Props {
  projectId: string;
  scene: Scene;
}

/** How many findings there are; opens the list with reasons and mends. */
export function FindingsButton({ projectId, scene }: Props) {
  const count = scene.findings.length;
  const worst = scene.findings[0]?.level ?? "none";
  return (
    <Popover.Root>
      <Popover.Trigger className={`${buttonClass("plain")} px-2.5`} data-level={worst}>
        <LevelIcon level={worst} />
        {count === 0 ? "No findings" : `${count} ${count === 1 ? "finding" : "findings"}`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={8}
          aria-label="Findings"
          className="z-40 max-h-[70vh] w-[420px] overflow-auto rounded-card border border-line bg-white p-2 shadow-lg"
        >
          {count === 0 ? (
            <p className="p-3 text-muted">
              The checks found nothing to mend: everything lies in the field and every edge is covered.
            </p>
          ) : (
            <ul>
              {scene.findings.map((finding, i) => (
                <FindingRow key={i} projectId={projectId} finding={finding} />
              ))}
            </ul>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function FindingRow({ projectId, finding }: { projectId: string; finding: Finding }) {
  const edits = useEdits(projectId);
  const navigate = useNavigate();
  const { select, want } = useView();
  return (
    <li className="flex gap-3 border-b border-line p-3 last:border-b-0">
      <LevelIcon level={finding.level} />
      <div className="min-w-0 space-y-2">
        <p>{finding.words}</p>
        <div className="flex flex-wrap gap-2">
          {finding.mendLabel ? (
            <Button look="main" onClick={() => edits.mend(finding.code, finding.elementId)}>
              {finding.mendLabel}
            </Button>
          ) : null}
          {finding.elementId || finding.x != null ? (
            <Button
              onClick={() => {
                if (finding.elementId) select([finding.elementId]);
                if (finding.x != null && finding.y != null) want({ x: finding.x, y: finding.y });
                void navigate(`/p/${projectId}/wall`);
              }}
            >
              Show it
            </Button>
          ) : null}
        </div>
      </div>
    </li>
  );
}

function LevelIcon({ level }: { level: string }) {
  if (level === "stop")
    return <OctagonAlert size={17} className="mt-0.5 shrink-0 text-madder" aria-label="Stop" />;
  if (level === "warn")
    return <CircleAlert size={17} className="mt-0.5 shrink-0 text-madder" aria-label="Warning" />;
  if (level === "tip")
    return <Lightbulb size={17} className="mt-0.5 shrink-0 text-indigo" aria-label="Tip" />;
  return <CircleCheck size={17} className="shrink-0 text-verdigris" aria-hidden />;
}
