import { CircleHelp, X } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { useEdits } from "../api/edits";
import type { Finding, Scene } from "../api/client";
import { Button } from "../parts/Button";
import { IconButton } from "../parts/IconButton";
import { TextButton } from "../parts/TextButton";
import { useView } from "../state/view";
import { useCatalogue } from "../api/queries";
import { openHelp } from "../verbs/asks";
import { grouped, type FindingGroup } from "./findings";
import { LevelIcon } from "./LevelIcon";

interface Props {
  projectId: string;
  scene: Scene;
}

/** What the checks found, with reasons and mends: a strip below the room, which covers nothing of it. */
export function FindingsList({ projectId, scene }: Props) {
  const { findingsOpen, setFindingsOpen } = useView();
  const strip = useRef<HTMLElement>(null);
  const groups = grouped(scene.findings);

  useEffect(() => {
    if (findingsOpen) strip.current?.focus();
  }, [findingsOpen]);

  if (!findingsOpen) return null;
  return (
    <section
      id="findings"
      ref={strip}
      tabIndex={-1}
      aria-label="Findings"
      className="relative max-h-[min(34vh,300px)] shrink-0 overflow-y-auto border-t-2 border-line bg-white outline-none"
      onKeyDown={(event) => {
        if (event.key === "Escape") setFindingsOpen(false);
        if (event.key !== "?") event.stopPropagation();
      }}
    >
      <div className="sticky top-0 z-10 float-right m-1">
        <IconButton label="Close the findings" side="left" onClick={() => setFindingsOpen(false)}>
          <X size={17} aria-hidden />
        </IconButton>
      </div>
      {groups.length === 0 ? (
        <p className="px-4 py-3 text-muted">{scene.allClear}</p>
      ) : (
        <ul>
          {groups.map((group) => (
            <GroupRow key={`${group.code} ${group.findings[0]?.level}`} projectId={projectId} group={group} />
          ))}
        </ul>
      )}
    </section>
  );
}

function GroupRow({ projectId, group }: { projectId: string; group: FindingGroup }) {
  const edits = useEdits(projectId);
  const [open, setOpen] = useState(false);
  const first = group.findings[0];
  if (!first) return null;
  if (group.findings.length === 1) return <FindingRow projectId={projectId} finding={first} />;
  return (
    <li className="border-b border-line last:border-b-0">
      <div className="flex gap-3 px-4 py-2">
        <LevelIcon level={first.level} />
        <div className="min-w-0 flex-1">
          <p>
            {first.words}{" "}
            <span className="font-semibold">
              And {group.findings.length - 1} more {group.findings.length === 2 ? "place" : "places"} like
              this.
            </span>
          </p>
        </div>
        <div className="flex shrink-0 flex-wrap items-start justify-end gap-2">
          {first.mends.map((label, mend) => (
            <Button
              key={label}
              look={mend === 0 ? "main" : "plain"}
              onClick={() => edits.mend({ code: group.code, mend, all: true })}
            >
              {label}, all
            </Button>
          ))}
          <HelpButton finding={first} />
          <TextButton aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? "Show one line" : "Show each"}
          </TextButton>
        </div>
      </div>
      {open ? (
        <ul className="ml-8 border-l border-line">
          {group.findings.map((finding, i) => (
            <FindingRow key={i} projectId={projectId} finding={finding} />
          ))}
        </ul>
      ) : null}
    </li>
  );
}

function FindingRow({ projectId, finding }: { projectId: string; finding: Finding }) {
  const edits = useEdits(projectId);
  const navigate = useNavigate();
  const { select, want } = useView();
  return (
    <li className="flex gap-3 border-b border-line px-4 py-2 last:border-b-0">
      <LevelIcon level={finding.level} />
      <p className="min-w-0 flex-1">{finding.words}</p>
      <div className="flex shrink-0 flex-wrap items-start justify-end gap-2 pr-8">
        {finding.mends.map((label, mend) => (
          <Button
            key={label}
            look={mend === 0 ? "main" : "plain"}
            onClick={() => edits.mend({ code: finding.code, elementId: finding.elementId ?? null, mend })}
          >
            {label}
          </Button>
        ))}
        <HelpButton finding={finding} />
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
    </li>
  );
}

/** Opens the help where it explains what was found. */
function HelpButton({ finding }: { finding: Finding }) {
  const name = useCatalogue().data?.findings.find(({ code }) => code === finding.code)?.name;
  return (
    <IconButton
      label={`What this means: ${name ?? finding.code}`}
      side="left"
      onClick={() => openHelp("checks", finding.code)}
    >
      <CircleHelp size={17} aria-hidden />
    </IconButton>
  );
}
