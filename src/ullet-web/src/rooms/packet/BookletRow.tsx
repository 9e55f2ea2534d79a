import { BookOpen, Download } from "lucide-react";
import { useState } from "react";
import type { Scene } from "../../api/client";
import { buttonClass } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";

interface Props {
  projectId: string;
  scene: Scene;
  /** True while a finding stops it. */
  isStopped: boolean;
  /** True to hand it over against findings. */
  despite: boolean;
}

const PAPERS = [
  { value: "a4", label: "A4" },
  { value: "letter", label: "Letter" },
];

const TYPES = [
  { value: "large", label: "Large type" },
  { value: "compact", label: "Compact" },
];

/** The booklet on paper or as a page, and the card of this computer. */
export function BookletRow({ projectId, scene, isStopped, despite }: Props) {
  const [paper, setPaper] = useState(scene.unit === "inch" ? "letter" : "a4");
  const [type, setType] = useState("large");
  const files = `/api/projects/${projectId}`;
  const held = despite ? "&despite=true" : "";
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-2.5">
      <BookOpen size={22} aria-hidden className="text-muted" />
      <span className="min-w-[220px] flex-1">
        <span className="block font-semibold">Booklet</span>
        <span className="block text-[14px] text-muted">
          What to cut, then every step with its drawing; state {scene.code}
        </span>
        {isStopped ? null : (
          <span className="mt-1 flex flex-wrap gap-x-4 text-[14px]">
            <a
              className="text-indigo hover:underline"
              href={`${files}/booklet.html?rev=${scene.head}${held}`}
              target="_blank"
              rel="noreferrer"
            >
              Read it as a page
            </a>
            <a
              className="text-indigo hover:underline"
              href={`/card/${projectId}`}
              target="_blank"
              rel="noreferrer"
            >
              Open the card, a stop a page
            </a>
          </span>
        )}
      </span>
      {isStopped ? (
        <span className="text-[14px] text-madder">stopped</span>
      ) : (
        <span className="flex items-end gap-2">
          <Choice label="Paper" labelHidden value={paper} options={PAPERS} onChosen={setPaper} />
          <Choice label="Type" labelHidden value={type} options={TYPES} onChosen={setType} />
          <a
            className={buttonClass("plain")}
            href={`${files}/booklet.pdf?paper=${paper}&type=${type}${held}`}
            download
            aria-label="Download: Booklet"
          >
            <Download size={16} aria-hidden />
            Download
          </a>
        </span>
      )}
    </li>
  );
}
